<script setup lang="ts">
/** Where a rig file's origin lies on the stage: by numbers, or by two places whose place is known. */
import { computed } from 'vue'
import type { Placement } from '#core/exchange/mvr/placement'
import type { FilePoint, PressedPoint } from '../../composables/exchange/usePlacing'
import ChoiceField from '../fields/ChoiceField.vue'

export interface DrawingSizes {
  readonly words: string
  /** What metres are made of its own unit with. */
  readonly unit: string
  readonly choices: readonly { readonly name: string; readonly scale: number }[]
}

const props = defineProps<{
  placement: Placement
  filePoints: readonly FilePoint[]
  points: readonly PressedPoint[]
  /** What is told of how large a drawing is, and what it may be; null for a rig file. */
  sizes: DrawingSizes | null
  isSizedByPoints: boolean
}>()
const emit = defineEmits<{
  place: [change: Partial<Placement>]
  press: [key: string]
  point: [index: number, change: Partial<PressedPoint>]
  sized: [isSized: boolean]
}>()
const AXES = ['x', 'y', 'z'] as const
const choices = computed(() => props.filePoints.map(({ key, name }) => ({ key, name })))
const NTH = ['First', 'Second'] as const

async function choose(index: number, key: string) {
  if (props.points[index]) emit('point', index, { key })
  else emit('press', key)
  return null
}
async function shift(axis: (typeof AXES)[number], metres: number) {
  emit('place', { shift: { ...props.placement.shift, [axis]: metres } })
  return null
}
async function turn(degrees: number) {
  emit('place', { turn: degrees })
  return null
}
async function resize(scale: number) {
  if (!(scale > 0)) return 'A drawing has a size.'
  emit('place', { scale })
  return null
}
async function movePoint(index: number, axis: (typeof AXES)[number], metres: number) {
  const point = props.points[index]
  if (point) emit('point', index, { stage: { ...point.stage, [axis]: metres } })
  return null
}
</script>

<template>
  <div class="flex flex-col gap-2">
    <div class="grid grid-cols-[repeat(4,minmax(0,1fr))_auto] items-end gap-2">
      <NumberField
        v-for="axis in AXES"
        :key="axis"
        :label="`Shift ${axis}`"
        unit="m"
        :digits="3"
        :value="placement.shift[axis]"
        :keep="(metres) => shift(axis, metres)"
      />
      <NumberField label="Turn" unit="°" :digits="2" :value="placement.turn" :keep="turn" />
      <button
        type="button"
        class="chip py-1"
        :class="placement.mirrored ? 'border-kelp' : ''"
        :aria-pressed="placement.mirrored"
        @click="emit('place', { mirrored: !placement.mirrored })"
      >
        Mirrored
      </button>
    </div>
    <div v-if="sizes" class="flex flex-wrap items-end gap-1.5">
      <NumberField class="w-32" label="Scale" :unit="sizes.unit" :digits="5" :value="placement.scale" :keep="resize" />
      <p class="pb-1 text-sm text-mist">{{ sizes.words }}</p>
      <button
        v-for="{ name, scale } in sizes.choices"
        :key="name"
        type="button"
        class="chip px-2 py-0.5"
        :class="placement.scale === scale ? 'chip-on' : ''"
        :aria-pressed="placement.scale === scale"
        @click="emit('place', { scale })"
      >
        {{ name }}
      </button>
      <button
        type="button"
        class="chip ml-auto px-2 py-0.5"
        :class="isSizedByPoints ? 'chip-on' : ''"
        :aria-pressed="isSizedByPoints"
        @click="emit('sized', !isSizedByPoints)"
      >
        two places tell its scale
      </button>
    </div>
    <p class="text-xs text-haze">
      Or press two places on the plan and say where they are on the stage: the first is put there, the second gives the
      direction{{ sizes && isSizedByPoints ? ' and the size' : '' }}.
    </p>
    <div v-for="(nth, i) in NTH" :key="nth" class="grid grid-cols-[minmax(0,1.6fr)_repeat(3,minmax(0,1fr))] gap-2">
      <ChoiceField
        :label="`${nth} place`"
        placeholder="press or choose"
        :value="points[i]?.key ?? null"
        :options="choices"
        :disabled="i > points.length"
        :keep="(key) => choose(i, key)"
      />
      <NumberField
        v-for="axis in AXES"
        :key="axis"
        :label="`Stage ${axis}`"
        unit="m"
        :digits="3"
        placeholder=" "
        :disabled="!points[i] || (i === 1 && axis === 'z')"
        :value="points[i]?.stage[axis] ?? null"
        :keep="(metres) => movePoint(i, axis, metres)"
      />
    </div>
  </div>
</template>
