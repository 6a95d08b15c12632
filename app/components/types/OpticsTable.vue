<script setup lang="ts">
/** What the zoom does, row by row from narrow to wide, and what that makes ten metres off. */
import { Plus, Trash2 } from '@lucide/vue'
import type { Optics } from '#core/show/entities'
import { illuminance } from '#core/light/optics'
import { poolDiameter } from '#core/light/zoom'

const props = defineProps<{ optics: Optics; keep: (optics: Optics, row: number) => Promise<string | null> }>()
const TRIAL_THROW = 10

function changeRow(row: number, change: Partial<Optics[number]>) {
  return props.keep(
    props.optics.map((known, i) => (i === row ? { ...known, ...change } : known)),
    row,
  )
}
/** A wider row, by the square law of light that is spread out. */
function add() {
  const last = props.optics.at(-1)
  if (!last) return
  const beam = Math.min(150, last.beam * 1.5)
  const field = Math.min(165, last.field * 1.5)
  const candela = Math.round(last.candela * (last.beam / beam) ** 2)
  void props.keep([...props.optics, { beam, field, candela }], props.optics.length)
}
</script>

<template>
  <div class="flex flex-col gap-1.5">
    <div
      v-for="(row, i) in optics"
      :key="i"
      class="grid grid-cols-[1fr_1fr_1.3fr_1fr_1fr_26px] items-end gap-2"
      :class="i > 0 ? '[&_label>span:first-child]:sr-only' : ''"
    >
      <NumberField label="Beam angle" unit="°" :value="row.beam" :keep="(beam) => changeRow(i, { beam })" />
      <NumberField label="Field angle" unit="°" :value="row.field" :keep="(field) => changeRow(i, { field })" />
      <NumberField
        label="Peak"
        unit="cd"
        :value="row.candela"
        :digits="0"
        :keep="(candela) => changeRow(i, { candela })"
      />
      <p class="pb-1 text-right font-mono text-sm text-mist">{{ poolDiameter(TRIAL_THROW, row.beam).toFixed(2) }} m</p>
      <p class="pb-1 text-right font-mono text-sm text-mist">
        {{ Math.round(illuminance(row.candela, 0, TRIAL_THROW)) }} lux
      </p>
      <IconButton
        v-if="optics.length > 1"
        :icon="Trash2"
        :size="14"
        class="chip p-1"
        :aria-label="`Take out row ${i + 1} of the zoom table`"
        @click="
          keep(
            optics.filter((_, j) => j !== i),
            0,
          )
        "
      />
    </div>
    <div class="flex items-center justify-between">
      <button type="button" class="chip flex items-center gap-1" @click="add"><Plus :size="14" />Wider row</button>
      <p class="text-xs text-haze">
        {{ optics.length === 1 ? 'One row is a fixed lens. ' : '' }}On the right: the pool and its middle, square on at
        {{ TRIAL_THROW }} m.
      </p>
    </div>
  </div>
</template>
