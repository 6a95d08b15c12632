<script setup lang="ts">
/** Over the carry sheet: which list, which family, what is shown of it and how near; what is loose. */
import { onClickOutside } from '@vueuse/core'
import { Minus, Plus, Replace, Settings2 } from '@lucide/vue'
import { computed, onBeforeUnmount, ref, useTemplateRef } from 'vue'
import { palettesInOrder } from '#core/palettes/resolve'
import { cueCounts } from '#core/palettes/use'
import { FAMILIES } from '#core/attributes/families'
import { asPaletteId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useCuesRoom, SHEET_ZOOMS } from '../../stores/cuesRoom'
import { counted } from '#core/show/counted'
import { useLooseValues } from '../../stores/looseValues'
import { useMotorCheck } from '../../stores/motorCheck'
import { useShow } from '../../stores/show'
import ListMenu from './ListMenu.vue'
import { nextNumber } from '#core/show/freeNumbers'

const props = defineProps<{ show: Show; trouble: string | null }>()
const room = useCuesRoom()
const store = useShow()
const loose = useLooseValues()
const motors = useMotorCheck()
const stopFollowing = motors.follow()
onBeforeUnmount(stopFollowing)
const isOpen = ref(false)
const menu = useTemplateRef<HTMLElement>('menu')
onClickOutside(menu, () => (isOpen.value = false))

const held = computed(() => [...props.show.all.cueValue.values()].filter(({ mark }) => mark === 'held').length)
const used = computed(() => palettesInOrder(props.show).filter(({ id }) => (cueCounts(props.show).get(id) ?? 0) > 0))
const looseWords = computed(() => {
  const parts = [`${loose.beside} loose`]
  if (held.value > 0) parts.push(`${held.value} held`)
  return parts.join(', ')
})

function filterBy({ target }: Event) {
  if (target instanceof HTMLSelectElement) room.palette = target.value ? asPaletteId(target.value) : null
}

async function addList() {
  const number = nextNumber(room.lists.map(({ list }) => list))
  if (!(await store.send('addCueList', { number, name: `List ${number}`, intensityRule: 'highest' }))) return
  const made = room.lists.find(({ list }) => list.number === number)
  if (made) room.lookAtList(made.id)
  isOpen.value = true
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-x-2 gap-y-1.5 px-4 pt-2.5 pb-1.5">
    <div class="flex rounded-lg border border-rule-2 bg-deck p-0.5" role="radiogroup" aria-label="Cue list">
      <button
        v-for="item in room.lists"
        :key="item.id"
        type="button"
        role="radio"
        :aria-checked="item.id === room.list?.id"
        class="rounded-md px-2.5 py-1 text-sm"
        :class="item.id === room.list?.id ? 'bg-plank-2 font-semibold text-sail' : 'text-mist hover:text-sail'"
        @click="room.lookAtList(item.id)"
      >
        {{ item.list.name }}
      </button>
    </div>
    <div ref="menu" class="relative flex gap-1">
      <IconButton
        :icon="Settings2"
        :size="14"
        class="chip px-1.5"
        aria-label="Settings of this list"
        :aria-expanded="isOpen"
        :disabled="!room.list"
        @click="isOpen = !isOpen"
      />
      <IconButton :icon="Plus" :size="14" class="chip px-1.5" aria-label="Add a cue list" @click="addList" />
      <div
        v-if="isOpen && room.list"
        class="absolute top-full left-0 z-30 mt-1 rounded-lg border border-rule-2 bg-plank p-3 shadow-lg shadow-night/60"
        role="dialog"
        :aria-label="`Settings of ${room.list.list.name}`"
        @keydown.esc.stop="isOpen = false"
      >
        <ListMenu :key="room.list.id" :list="room.list" @close="isOpen = false" />
      </div>
    </div>
    <select v-model="room.family" class="chip" aria-label="Family shown">
      <option v-for="option in FAMILIES" :key="option" :value="option">{{ option }}</option>
    </select>
    <select
      class="chip max-w-40"
      aria-label="Only cues that show this palette"
      :value="room.palette ?? ''"
      @change="filterBy"
    >
      <option value="">any palette</option>
      <option v-for="{ id, palette } in used" :key="id" :value="id">{{ palette.name }}</option>
    </select>
    <div class="relative">
      <input
        v-model="room.entry"
        class="field w-32 py-1 font-sans"
        placeholder="all fixtures"
        aria-label="Only these fixtures"
        :aria-invalid="trouble !== null"
        autocomplete="off"
        @keydown.esc.stop="room.entry = ''"
      />
      <p
        v-if="trouble"
        class="absolute top-full left-0 z-20 mt-1 w-max max-w-64 rounded-md border border-coral bg-plank px-2 py-1 text-xs text-coral shadow-lg"
        role="alert"
      >
        {{ trouble }}
      </p>
    </div>
    <div class="ml-auto flex items-center gap-1.5">
      <button
        v-if="motors.found.length > 0 || room.panel === 'motors'"
        type="button"
        class="chip"
        :class="room.panel === 'motors' ? 'chip-on' : 'border-coral/60 text-coral'"
        :aria-pressed="room.panel === 'motors'"
        title="Cues with moves that the motors cannot make in their time"
        @click="room.panel = room.panel === 'motors' ? 'detail' : 'motors'"
      >
        {{ counted(motors.found.length, 'cue') }} too fast
      </button>
      <button
        type="button"
        class="chip"
        :class="room.panel === 'loose' ? 'chip-on' : loose.beside > 0 ? 'border-coral/60 text-coral' : ''"
        :aria-pressed="room.panel === 'loose'"
        @click="room.panel = room.panel === 'loose' ? 'detail' : 'loose'"
      >
        {{ looseWords }}
      </button>
      <IconButton
        :icon="Replace"
        :size="14"
        class="chip px-1.5"
        :class="room.panel === 'replace' ? 'chip-on' : ''"
        aria-label="Find and replace"
        title="Find and replace"
        :aria-pressed="room.panel === 'replace'"
        @click="room.panel = room.panel === 'replace' ? 'detail' : 'replace'"
      />
      <div class="flex items-center rounded-lg border border-rule-2 bg-deck p-0.5" role="group" aria-label="How near">
        <IconButton
          :icon="Minus"
          :size="14"
          class="rounded-md p-1 text-mist hover:bg-plank-2 hover:text-sail disabled:opacity-40"
          aria-label="Further, to see the show"
          :disabled="room.zoom === 0"
          @click="room.zoomBy(-1)"
        />
        <span class="w-14 text-center text-xs text-mist">{{ room.size.name }}</span>
        <IconButton
          :icon="Plus"
          :size="14"
          class="rounded-md p-1 text-mist hover:bg-plank-2 hover:text-sail disabled:opacity-40"
          aria-label="Nearer, to see values"
          :disabled="room.zoom === SHEET_ZOOMS.length - 1"
          @click="room.zoomBy(1)"
        />
      </div>
    </div>
  </div>
</template>
