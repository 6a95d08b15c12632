<script setup lang="ts">
/** What the zoom does, row by row from narrow to wide, and what that makes ten metres off. */
import { Plus, Upload, X } from '@lucide/vue'
import { ref } from 'vue'
import type { Optics } from '#core/show/entities'
import { candelaOffAxis, illuminance } from '#core/light/optics'
import { poolDiameter } from '#core/light/zoom'
import { usePhotometry } from '../../composables/rig/usePhotometry'
import LightCurve from './LightCurve.vue'
import PhotometryLook from './PhotometryLook.vue'
import PhotometryOut from './PhotometryOut.vue'

const props = defineProps<{
  maker: string
  name: string
  optics: Optics
  keep: (optics: Optics, row: number) => Promise<string | null>
}>()
const TRIAL_THROW = 10
const photometry = usePhotometry()
const { read, trouble, isReading } = photometry
/** Why what was read does not fit into the table. */
const misfit = ref<string | null>(null)

function changeRow(row: number, change: Partial<Optics[number]>) {
  return props.keep(
    props.optics.map((known, i) => (i === row ? { ...known, ...change } : known)),
    row,
  )
}
function forget(row: number) {
  const plain = props.optics.map((known, i) =>
    i === row ? { beam: known.beam, field: known.field, candela: known.candela } : known,
  )
  void props.keep(plain, row)
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
/** What was measured becomes a row, where its beam angle belongs. */
async function put(instead: number | null) {
  if (!read.value) return
  const { beam, field, candela, measured } = read.value.row
  const { planes, off, parts } = measured
  const kept = { planes: [...planes], off: [...off], parts: parts.map((plane) => [...plane]) }
  const others = props.optics.filter((_, i) => i !== instead)
  const rows = [...others, { beam, field, candela, measured: kept }].sort((a, b) => a.beam - b.beam)
  misfit.value = await props.keep(
    rows,
    rows.findIndex((row) => row.measured === kept),
  )
  if (misfit.value === null) photometry.drop()
}
function chosen({ target }: Event) {
  if (!(target instanceof HTMLInputElement)) return
  const [file] = target.files ?? []
  misfit.value = null
  if (file) void photometry.open(file)
  target.value = ''
}
const luxOf = (row: Optics[number]) => Math.round(illuminance(candelaOffAxis([row], row.beam, 0), 0, TRIAL_THROW))
</script>

<template>
  <div class="flex flex-col gap-1.5">
    <div
      v-for="(row, i) in optics"
      :key="i"
      class="grid grid-cols-[1fr_1fr_1.3fr_0.9fr_1fr_64px_28px_26px] items-end gap-2"
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
      <p class="pb-1 text-right font-mono text-sm text-mist">{{ luxOf(row) }} lux</p>
      <span class="relative pb-1">
        <LightCurve :row="row" :width="64" :height="22" />
        <IconButton
          v-if="row.measured"
          :icon="X"
          :size="11"
          class="absolute -top-1 -right-1 rounded-full bg-plank p-0.5 text-mist hover:text-sail"
          :aria-label="`Forget how the light at ${row.beam}° was measured`"
          @click="forget(i)"
        />
      </span>
      <PhotometryOut :maker="maker" :name="name" :optics="optics" :beam="row.beam" />
      <BinButton
        v-if="optics.length > 1"
        :aria-label="`Take out row ${i + 1} of the zoom table`"
        @click="
          keep(
            optics.filter((_, j) => j !== i),
            0,
          )
        "
      />
    </div>
    <div class="flex items-center gap-1.5">
      <button type="button" class="chip flex items-center gap-1" @click="add"><Plus :size="14" />Wider row</button>
      <label class="chip flex cursor-pointer items-center gap-1 focus-within:outline-2">
        <Upload :size="14" aria-hidden="true" />Open photometry
        <input type="file" class="sr-only" accept=".ies,.ldt,.eul,.txt" @change="chosen" />
      </label>
      <p v-if="isReading" class="text-sm" role="status">
        Reading … <button type="button" class="chip ml-1 px-2 py-0.5" @click="photometry.drop()">Stop</button>
      </p>
      <p class="ml-auto text-right text-xs text-haze">
        {{ optics.length === 1 ? 'One row is a fixed lens. ' : '' }}Pool and middle square on at {{ TRIAL_THROW }} m;
        the fall-off, in brass where it was measured.
      </p>
    </div>
    <p v-if="trouble" class="text-sm text-coral" role="alert">{{ trouble }}</p>
    <PhotometryLook
      v-if="read"
      :file="photometry.name.value"
      :read="read"
      :optics="optics"
      :trouble="misfit"
      @put="put"
      @drop="photometry.drop()"
    />
  </div>
</template>
