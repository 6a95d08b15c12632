<script setup lang="ts">
/** What a proposed change does to palettes, one at a time: what it holds, and how far its pools move. */
import { computed, ref } from 'vue'
import type { Effects } from '#core/refocus/effects'
import { comparedLines, palettesWithOtherContents } from '#core/refocus/paletteLines'
import { poolMoves } from '#core/refocus/poolMoves'
import { palettesInOrder } from '#core/palettes/resolve'
import type { PaletteId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import RadioChips from '../fields/RadioChips.vue'
import PalettePreview from './PalettePreview.vue'
import PoolMoves from './PoolMoves.vue'

const props = defineProps<{ before: Show; after: Show; effects: Effects }>()
const SIDES = ['holds', 'pools move'] as const
const wished = ref<PaletteId | null>(null)
const side = ref<(typeof SIDES)[number]>('holds')

const others = computed(() => new Set(palettesWithOtherContents(props.before, props.after)))
const moving = computed(() => new Map(props.effects.palettes.map((effect) => [effect.palette, effect])))
/** Palettes that hold something else come before those that only follow what they aim at. */
const palettes = computed(() => {
  const known = palettesInOrder(props.before).filter(({ id }) => others.value.has(id) || moving.value.has(id))
  return [...known.filter(({ id }) => others.value.has(id)), ...known.filter(({ id }) => !others.value.has(id))]
})
const shown = computed(() => palettes.value.find(({ id }) => id === wished.value)?.id ?? palettes.value[0]?.id)
const holdsOther = computed(() => shown.value !== undefined && others.value.has(shown.value))
const move = computed(() => (shown.value === undefined ? undefined : moving.value.get(shown.value)))
const lines = computed(() =>
  shown.value !== undefined && holdsOther.value ? comparedLines(props.before, props.after, shown.value) : [],
)
const moves = computed(() => (move.value ? poolMoves(props.before, move.value) : []))
const isMoves = computed(() => !holdsOther.value || (side.value === 'pools move' && move.value !== undefined))

function choose(event: Event) {
  const chosen = event.target instanceof HTMLSelectElement ? event.target.value : ''
  wished.value = palettes.value.find(({ id }) => id === chosen)?.id ?? null
}
</script>

<template>
  <div v-if="palettes.length" class="flex min-h-0 flex-col gap-1">
    <div v-if="palettes.length > 1 || (holdsOther && move)" class="flex gap-1">
      <select
        v-if="palettes.length > 1"
        :value="shown"
        class="field w-0 flex-1 px-1.5 py-0 font-sans"
        aria-label="Change of"
        @change="choose"
      >
        <option v-for="{ id, palette } in palettes" :key="id" :value="id">
          {{ palette.number }} {{ palette.name }}
        </option>
      </select>
      <RadioChips v-if="holdsOther && move" v-model="side" class="flex-1" label="Change in" :options="SIDES" />
    </div>
    <PoolMoves v-if="isMoves" :moves="moves" />
    <PalettePreview v-else :lines="lines" :is-new="false" />
  </div>
</template>
