<script setup lang="ts">
/** Grid, stage outline, opening, centre and setting line, keep-clear zones and the scale. */
import { computed } from 'vue'
import type { Venue } from '#core/show/entities'
import { zoneFrom } from '#core/travel/zones'
import { heightOf } from '#core/venue/levels'
import { usePlan } from '../../composables/stage/planKey'
import { pathOf } from '#core/drawing/svgPath'

const props = defineProps<{ venue: Venue }>()
const { toScreen, toStage, width, height, scale } = usePlan()

const outline = computed(() => pathOf(props.venue.outline.map(toScreen)))
const zones = computed(() =>
  props.venue.keepClear.map((zone) => {
    const { name, outline: ring } = zone
    const points = ring.map(toScreen)
    const lowest = points.reduce((a, b) => (b.y > a.y || (b.y === a.y && b.x < a.x) ? b : a))
    return { name, top: zoneFrom(zone).height, path: pathOf(points), label: { x: lowest.x + 8, y: lowest.y - 8 } }
  }),
)

const levels = computed(() =>
  props.venue.levels.map((level) => {
    const points = level.outline.map(toScreen)
    const first = points.reduce((a, b) => (b.y > a.y || (b.y === a.y && b.x < a.x) ? b : a))
    const heights = level.outline.map((p) => heightOf(level, p))
    const [low, high] = [Math.min(...heights).toFixed(2), Math.max(...heights).toFixed(2)]
    return {
      path: pathOf(points),
      label: { x: first.x + 6, y: first.y - 6 },
      text: `${level.name}, ${low === high ? low : `${low} to ${high}`} m`,
    }
  }),
)

/** The walls either side of the opening, half a metre deep. */
const walls = computed(() => {
  const half = props.venue.opening.width / 2
  return [-1, 1].map((side) => {
    const corners = [
      { x: side * half, y: 0 },
      { x: side * (half + 4), y: 0 },
      { x: side * (half + 4), y: 0.4 },
      { x: side * half, y: 0.4 },
    ]
    return pathOf(corners.map(toScreen))
  })
})

/** Grid lines every metre, or wider when they would crowd. */
const grid = computed(() => {
  const every = scale.value > 22 ? 1 : scale.value > 9 ? 2 : 5
  const from = toStage({ x: 0, y: height.value })
  const to = toStage({ x: width.value, y: 0 })
  const lines: string[] = []
  for (let x = Math.ceil(from.x / every) * every; x <= to.x; x += every) {
    const at = toScreen({ x, y: 0 }).x.toFixed(1)
    lines.push(`M${at} 0V${height.value}`)
  }
  for (let y = Math.ceil(from.y / every) * every; y <= to.y; y += every) {
    const at = toScreen({ x: 0, y }).y.toFixed(1)
    lines.push(`M0 ${at}H${width.value}`)
  }
  return lines.join('')
})
const origin = computed(() => toScreen({ x: 0, y: 0 }))
const bar = computed(() => {
  const metres = scale.value > 60 ? 1 : scale.value > 22 ? 2 : 5
  return { metres, pixels: metres * scale.value }
})
</script>

<template>
  <g aria-hidden="true">
    <defs>
      <pattern id="keep-clear" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0V8" class="stroke-coral/20" stroke-width="2" />
      </pattern>
    </defs>
    <path :d="grid" class="stroke-rule/35" stroke-width="1" fill="none" />
    <path :d="outline" class="fill-plank/40 stroke-rule-2" stroke-width="1.5" />
    <g v-for="(level, i) in levels" :key="`l${i}`">
      <path :d="level.path" class="fill-plank-2/50 stroke-rule-2" />
      <text :x="level.label.x" :y="level.label.y" class="halo fill-haze text-[11px]">{{ level.text }}</text>
    </g>
    <path v-for="(wall, i) in walls" :key="i" :d="wall" class="fill-plank-2 stroke-rule-2" />
    <g v-for="zone in zones" :key="zone.name">
      <path :d="zone.path" class="stroke-coral/45" fill="url(#keep-clear)" stroke-dasharray="4 4" />
      <text :x="zone.label.x" :y="zone.label.y" class="halo fill-coral text-[11px]"
        >{{ zone.name }}, keep clear to {{ zone.top }} m</text
      >
    </g>
    <path :d="`M${origin.x} 0V${height}`" class="stroke-rule-2/70" stroke-dasharray="14 5 3 5" />
    <path :d="`M0 ${origin.y}H${width}`" class="stroke-rule-2/70" stroke-dasharray="14 5 3 5" />
    <g :transform="`translate(${width - bar.pixels - 24} ${height - 20})`">
      <path :d="`M0 -4V4M0 0H${bar.pixels}M${bar.pixels} -4V4`" class="stroke-mist" fill="none" />
      <text :x="bar.pixels / 2" y="-6" class="halo fill-mist font-mono text-[11px]" text-anchor="middle"
        >{{ bar.metres }} m</text
      >
    </g>
  </g>
</template>
