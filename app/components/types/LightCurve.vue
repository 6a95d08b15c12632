<script setup lang="ts">
/** How light falls off beside the axis: across, and, where that differs, upright. */
import { computed } from 'vue'
import { partBeside, type OpticsRow } from '#core/light/optics'

const props = defineProps<{ row: OpticsRow; width: number; height: number }>()

/** Samples from one side to the other. */
const STEPS = 60
const isRound = computed(() => (props.row.measured?.planes.length ?? 1) === 1)
/** How far out it is drawn, in half beam angles. */
const spread = computed(() => {
  const { measured, beam, field } = props.row
  return measured ? (2 * (measured.off.at(-1) ?? 0)) / beam : (1.35 * field) / beam
})
const part = computed(() => partBeside([props.row], props.row.beam))
const HAIR = 1

function curve(round: number): string {
  const points = Array.from({ length: STEPS + 1 }, (_, i) => {
    const side = (2 * i) / STEPS - 1
    const level = part.value(Math.abs(side) * spread.value, side < 0 ? round + 180 : round)
    const x = ((side + 1) / 2) * props.width
    return `${x.toFixed(1)} ${(HAIR + (1 - level) * (props.height - 2 * HAIR)).toFixed(1)}`
  })
  return `M ${points.join(' L ')}`
}
/** Where the light is a half: half the beam angle on either side. */
const edges = computed(() => [-1, 1].map((side) => ((side / spread.value + 1) / 2) * props.width))
const degrees = computed(() => Math.round((spread.value * props.row.beam) / 2))
</script>

<template>
  <svg
    :viewBox="`0 0 ${width} ${height}`"
    :width="width"
    :height="height"
    role="img"
    :aria-label="`Light ${degrees}° to either side of the axis${row.measured ? ', as measured' : ''}`"
  >
    <line
      v-for="x in edges"
      :key="x"
      :x1="x"
      :x2="x"
      y1="0"
      :y2="height"
      class="stroke-rule-2"
      stroke-dasharray="2 2"
    />
    <line x1="0" :x2="width" :y1="height - 0.5" :y2="height - 0.5" class="stroke-rule-2" />
    <path v-if="!isRound" :d="curve(90)" class="fill-none stroke-shoal" stroke-width="1.2" />
    <path :d="curve(0)" class="fill-none" :class="row.measured ? 'stroke-brass' : 'stroke-haze'" stroke-width="1.4" />
  </svg>
</template>
