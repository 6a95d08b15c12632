<script setup lang="ts">
/** Over the carry sheet: which list, which family, what is shown of it and how near; what is loose. */
import { Minus, Plus, Replace } from '@lucide/vue'
import { computed } from 'vue'
import { palettesInOrder } from '#core/palettes/resolve'
import { cueCounts } from '#core/palettes/use'
import { FAMILIES } from '#core/attributes/families'
import { asPaletteId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useCuesRoom, SHEET_ZOOMS } from '../../stores/cuesRoom'
import { useLooseValues } from '../../stores/looseValues'
import FaultChips from '../travel/FaultChips.vue'
import ListSwitch from './ListSwitch.vue'
import ViewOfCues from './ViewOfCues.vue'

const props = defineProps<{ show: Show; trouble: string | null }>()
const room = useCuesRoom()
const loose = useLooseValues()

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
</script>

<template>
  <div class="flex flex-wrap items-center gap-x-2 gap-y-1.5 px-4 pt-2.5 pb-1.5">
    <ViewOfCues />
    <ListSwitch />
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
      <FaultChips />
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
