<script setup lang="ts">
/** Show and venue, the rooms, what is in hand, undo. */
import { Redo2, Search, Undo2, WifiOff } from '@lucide/vue'
import { computed } from 'vue'
import { useHand } from '../../composables/hand/useHand'
import { ROOMS } from '../../session/rooms'
import { useDialogs } from '../../stores/dialogs'
import { useSending } from '../../stores/sending'
import { useShow } from '../../stores/show'
import { useUndo } from '../../stores/undo'
import { ROLE_IN_WORDS } from '#core/access/roles'
import type { Show } from '#core/show/show'
import ShowMenu from './ShowMenu.vue'
import { counted } from '#core/show/counted'

defineProps<{ show: Show }>()
const store = useShow()
const sending = useSending()
const steps = useUndo()
const hand = useHand()
const dialogs = useDialogs()
const route = useRoute()

/** Whether the server is there, whether work goes on without it, and what waits for it. */
const line = computed(() => {
  if (store.connected && !sending.isAway) return null
  const state = sending.takesMore ? 'Looking for the server' : 'Server away'
  if (sending.count === 0) return state
  return `${state} · ${counted(sending.count, 'waits', 'wait')}`
})
</script>

<template>
  <header class="flex h-12 shrink-0 items-center gap-4 border-b border-rule bg-deck px-3">
    <div class="flex shrink-0 items-center gap-2">
      <img src="/icon.svg" alt="" width="22" height="22" />
      <span class="text-lg font-bold">Rhopander</span>
    </div>
    <ShowMenu :show="show" />
    <span
      v-if="store.role === 'watches' || store.role === 'walks the stage'"
      class="shrink-0 rounded-full border border-rule-2 px-2 text-sm text-mist"
      :title="`Who ${store.role} ${ROLE_IN_WORDS[store.role]}`"
      >{{ store.role }}</span
    >
    <nav aria-label="Rooms" class="flex shrink-0 gap-0.5">
      <NuxtLink
        v-for="room in ROOMS"
        :key="room.path"
        :to="`/shows/${show.id}/${room.path}`"
        class="rounded-full px-3 py-1"
        :class="
          route.path.startsWith(`/shows/${show.id}/${room.path}`)
            ? 'bg-sail font-semibold text-night'
            : 'text-mist hover:bg-plank-2 hover:text-sail'
        "
      >
        {{ room.name }}
      </NuxtLink>
    </nav>
    <IconButton
      :icon="Search"
      :size="14"
      class="pill flex shrink-0 items-center px-2"
      aria-label="Find anything"
      title="Find anything (Ctrl K)"
      @click="dialogs.open = 'find'"
    />
    <div class="ml-auto flex min-w-0 items-center gap-2">
      <p
        v-if="line"
        class="flex shrink-0 items-center gap-1.5 text-sm text-coral"
        role="status"
        :title="
          sending.takesMore
            ? 'What you do is kept and sent when it is back'
            : 'No more changes are taken until it is back'
        "
      >
        <WifiOff :size="14" />{{ line }}
      </p>
      <p
        v-if="hand.inWords.value"
        class="min-w-32 truncate rounded-full border border-coral/60 px-3 py-1 text-sm text-coral"
      >
        In hand: {{ hand.inWords.value }}
      </p>
      <button
        type="button"
        class="pill flex min-w-0 items-center gap-1.5"
        :disabled="!steps.nextUndo"
        :title="steps.nextUndo ? `Undo: ${steps.nextUndo.label}` : 'Nothing to undo'"
        @click="steps.undo()"
      >
        <Undo2 :size="14" class="shrink-0" aria-hidden="true" />
        <span class="max-w-56 truncate"
          >Undo<template v-if="steps.nextUndo">: {{ steps.nextUndo.label }}</template></span
        >
        <span class="key hidden shrink-0 whitespace-nowrap xl:inline" aria-hidden="true">Ctrl Z</span>
      </button>
      <IconButton
        :icon="Redo2"
        :size="14"
        class="pill flex shrink-0 items-center px-2"
        :disabled="!steps.nextRedo"
        aria-label="Redo"
        :title="steps.nextRedo ? `Redo: ${steps.nextRedo.label} (Ctrl Shift Z)` : 'Nothing to redo'"
        @click="steps.redo()"
      />
    </div>
  </header>
</template>
