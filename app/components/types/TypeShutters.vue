<script setup lang="ts">
/** The blades a type has, drawn looking with the light: each a little in, leant as far as it leans either way. */
import { computed } from 'vue'
import { isNumberAttribute, kindOf } from '#core/attributes/attribute'
import { BLADE_SIDES, type BladeSide, type SeenAs } from '#core/attributes/catalogue'
import { bladeHandles } from '#core/light/bladeHandles'
import { turnPoint, type GatePoint } from '#core/light/gatePoint'
import { rangeOf } from '#core/show/attributeRange'
import type { FixtureType } from '#core/show/entities'
import { shortNumber } from '#core/show/shortNumber'

const props = defineProps<{ type: FixtureType }>()
const RADIUS = 40
/** How far in they are drawn. */
const DEPTH = 0.16

function rangeAs(as: SeenAs, side?: BladeSide) {
  const found = props.type.has
    .filter(isNumberAttribute)
    .find((attribute) => kindOf(attribute).seenAs === as && kindOf(attribute).side === side)
  return found ? rangeOf(props.type, found) : null
}
const place = ([x, y]: GatePoint) => `${(x * RADIUS).toFixed(1)} ${(-y * RADIUS).toFixed(1)}`

const blades = computed(() =>
  BLADE_SIDES.flatMap((side) => {
    if (!rangeAs('blade depth', side) && !rangeAs('blade first corner', side)) return []
    const lean = rangeAs('blade angle', side)
    const edge = (angle: number) => {
      const [from, to] = bladeHandles({ side, depth: DEPTH, angle }, 0).ends
      return `M${place(from)}L${place(to)}`
    }
    return [{ side, edge: edge(0), leant: lean ? edge(lean.min) + edge(lean.max) : '', lean }]
  }),
)
const frame = computed(() => rangeAs('frame turn'))
/** How far the frame turns, as an arc outside. */
const arc = computed(() => {
  if (!frame.value) return ''
  const { min, max } = frame.value
  const far = (angle: number) => place(turnPoint([0, 1.25], angle))
  return `M${far(min)}A${RADIUS * 1.25} ${RADIUS * 1.25} 0 ${max - min > 180 ? 1 : 0} 1 ${far(max)}`
})
const words = computed(() => {
  const leans = [
    ...new Set(blades.value.map(({ lean }) => (lean ? `${shortNumber(lean.min)}° to ${shortNumber(lean.max)}°` : ''))),
  ]
  const leaning = leans[0] ? `, leaning ${leans.length === 1 ? leans[0] : 'by their ranges'}` : ''
  const turning = frame.value
    ? `; the frame turns ${shortNumber(frame.value.min)}° to ${shortNumber(frame.value.max)}°`
    : ''
  return `${blades.value.length} blades${leaning}${turning}.`
})
</script>

<template>
  <section v-if="blades.length" aria-labelledby="type-shutters">
    <h3 id="type-shutters" class="mb-1 text-sm font-semibold">Shutters</h3>
    <div class="flex items-center gap-3">
      <svg viewBox="-58 -58 116 116" class="w-28 shrink-0 rounded-lg border border-rule bg-night" aria-hidden="true">
        <circle :r="RADIUS" class="fill-brass/25 stroke-rule-2" />
        <g v-for="{ side, edge, leant } in blades" :key="side" class="fill-none">
          <path :d="leant" class="stroke-brass/50" />
          <path :d="edge" class="stroke-brass" stroke-width="2" />
        </g>
        <path v-if="arc" :d="arc" class="fill-none stroke-kelp" stroke-width="2" />
      </svg>
      <p class="text-sm text-mist">{{ words }}</p>
    </div>
  </section>
</template>
