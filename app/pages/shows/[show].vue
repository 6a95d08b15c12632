<script setup lang="ts">
/** A show with its rooms: opens it, keeps it in step, and has the keys every room shares. */
import { useEventListener } from '@vueuse/core'
import { computed, onUnmounted, watch } from 'vue'
import { movesUntil } from '#core/cues/arrivals'
import { showId, type ShowId } from '#core/show/ids'
import { showRecordOf } from '#core/show/show'
import { keyOf } from '../../keys/actions'
import { useActions } from '../../composables/keys/useActions'
import { useControlledSelection } from '../../composables/output/useControlledSelection'
import { useClock } from '../../stores/clock'
import type { ROOMS } from '../../session/rooms'
import { useDialogs } from '../../stores/dialogs'
import { useProposal } from '../../stores/proposal'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'
import { useUndo } from '../../stores/undo'

const route = useRoute('shows-show')
const store = useShow()
const steps = useUndo()
const selection = useSelection()
const proposal = useProposal()
const dialogs = useDialogs()
const clock = useClock()

/** The pass made for a tablet has the whole screen to itself. */
const isOnStage = computed(() => route.path === `/shows/${route.params.show}/pass`)

let opened: ShowId | null = null
watch(
  () => route.params.show,
  (id) => {
    const checked = showId.safeParse(id)
    if (!checked.success) return
    opened = checked.data
    selection.clear()
    proposal.cancel()
    void store.open(checked.data)
  },
  { immediate: true },
)
/** As long as cues or a recall are on their way, time goes on. */
watch(
  () => (store.view ? movesUntil(store.view) : 0),
  (until) => clock.runUntil(until),
  { immediate: true },
)
/** By then the page of another show may have opened that. */
onUnmounted(() => opened && store.leave(opened))
useHead({ title: () => (store.view ? `${showRecordOf(store.view).name} · Rhopander` : 'Rhopander') })

/** In a field too, but not over another dialog. */
useEventListener('keydown', (event) => {
  if (keyOf(event) !== 'Ctrl K' || dialogs.open !== null) return
  event.preventDefault()
  dialogs.open = 'find'
})
type RoomPath = (typeof ROOMS)[number]['path']
const toRoom = (room: RoomPath) => void (store.view && navigateTo(`/shows/${store.view.id}/${room}`))
useControlledSelection()
useActions({
  undo: () => void steps.undo(),
  redo: () => void steps.redo(),
  'keyboard map': () => (dialogs.open = 'keys'),
  'room rig': () => toRoom('rig'),
  'room focus': () => toRoom('focus'),
  'room cues': () => toRoom('cues'),
  'room refocus': () => toRoom('refocus'),
  'room output': () => toRoom('output'),
  'room paper': () => toRoom('paper'),
})
</script>

<template>
  <div v-if="store.view" class="flex h-full flex-col">
    <template v-if="!isOnStage">
      <TopBar :show="store.view" />
      <WorkingSetBanner />
      <EditBanner />
      <CheckBanner :show="store.view" />
    </template>
    <NuxtPage class="min-h-0 flex-1" />
    <KeyMapDialog :open="dialogs.open === 'keys'" @close="dialogs.close()" />
    <FindAnything :show="store.view" :open="dialogs.open === 'find'" @close="dialogs.close()" />
  </div>
  <main v-else class="grid h-full place-items-center">
    <div v-if="store.trouble" class="text-center">
      <p class="text-coral" role="alert">{{ store.trouble.message }}</p>
      <NuxtLink v-if="store.trouble.wayOn === 'another link'" to="/in" class="mt-3 inline-block underline">
        Come in by another link
      </NuxtLink>
      <NuxtLink v-else to="/" class="mt-3 inline-block underline">Open another show</NuxtLink>
    </div>
  </main>
</template>
