<script setup lang="ts">
/** Floor, levels, the opening and a grid of metres, in a section. */
import { computed } from 'vue'
import type { Venue } from '#core/show/entities'
import { zoneFrom } from '#core/travel/zones'
import { heightOf } from '#core/venue/levels'
import { usePlan } from '../../composables/stage/planKey'
import { pathOf } from '#core/drawing/svgPath'

const props = defineProps<{ venue: Venue; side: 'side' | 'front' }>()
const { toScreen, toStage, width, height, scale } = usePlan()

const floor = computed(() => toScreen({ x: 0, y: 0, z: 0 }))
const across = computed(() => (props.side === 'side' ? 'y' : 'x'))

/** Lines and names of the heights, every metre or wider when they would crowd. */
const heights = computed(() => {
  const every = scale.value > 22 ? 1 : 2
  const top = toStage({ x: 0, y: 0 }).z
  const count = Math.max(0, Math.floor(top / every))
  return Array.from({ length: count }, (_, i) => {
    const z = (i + 1) * every
    return { z, y: toScreen({ x: 0, y: 0, z }).y }
  })
})
const uprights = computed(() => {
  const every = scale.value > 22 ? 1 : 2
  const from = toStage({ x: 0, y: 0 })[across.value]
  const to = toStage({ x: width.value, y: 0 })[across.value]
  const lines: string[] = []
  for (let at = Math.ceil(from / every) * every; at <= to; at += every)
    lines.push(`M${toScreen({ x: at, y: at, z: 0 }).x.toFixed(1)} 0V${height.value}`)
  return lines.join('')
})
/** The wall the opening is cut in: seen from the side a line, from the house a frame. */
const wall = computed(() => {
  const { width: wide, height: tall } = props.venue.opening
  const half = wide / 2
  const corner = (x: number, y: number, z: number) => toScreen({ x, y, z })
  if (props.side === 'side')
    return pathOf([corner(0, 0, tall), corner(0, 0.4, tall), corner(0, 0.4, tall + 2), corner(0, 0, tall + 2)])
  const inner = [corner(-half, 0, 0), corner(-half, 0, tall), corner(half, 0, tall), corner(half, 0, 0)]
  const outer = [
    corner(half + 2, 0, 0),
    corner(half + 2, 0, tall + 2),
    corner(-half - 2, 0, tall + 2),
    corner(-half - 2, 0, 0),
  ]
  return pathOf([...inner, ...outer])
})
const levels = computed(() =>
  props.venue.levels.map((level) => {
    const points = level.outline.map((p) => ({ ...p, z: heightOf(level, p) }))
    const at = points.map((p) => p[across.value])
    const low = points[at.indexOf(Math.min(...at))]
    const high = points[at.indexOf(Math.max(...at))]
    if (!low || !high) return { name: level.name, path: '' }
    return { name: level.name, path: pathOf([{ ...low, z: 0 }, low, high, { ...high, z: 0 }].map(toScreen)) }
  }),
)
const zones = computed(() =>
  props.venue.keepClear.map((zone) => {
    const at = zone.outline.map((p) => p[across.value])
    const [from, to] = [Math.min(...at), Math.max(...at)]
    const top = zoneFrom(zone).height
    const corner = (along: number, z: number) => toScreen({ x: along, y: along, z })
    const corners = [corner(from, 0), corner(from, top), corner(to, top), corner(to, 0)]
    return { name: zone.name, path: pathOf(corners), label: corner(from, top) }
  }),
)
const bar = computed(() => {
  const metres = scale.value > 60 ? 1 : scale.value > 22 ? 2 : 5
  return { metres, pixels: metres * scale.value }
})
</script>

<template>
  <g aria-hidden="true">
    <path :d="uprights" class="stroke-rule/30" fill="none" />
    <g v-for="line in heights" :key="line.z">
      <path :d="`M0 ${line.y.toFixed(1)}H${width}`" class="stroke-rule/40" />
      <text x="8" :y="line.y - 3" class="halo fill-haze font-mono text-[10px]">{{ line.z }} m</text>
    </g>
    <path :d="wall" class="fill-plank-2 stroke-rule-2" />
    <g v-for="(level, i) in levels" :key="i">
      <path :d="level.path" class="fill-plank stroke-rule-2"
        ><title>{{ level.name }}</title></path
      >
    </g>
    <g v-for="zone in zones" :key="zone.name">
      <path :d="zone.path" class="fill-coral/8 stroke-coral/45" stroke-dasharray="4 4" />
      <text v-if="side === 'side'" :x="zone.label.x + 4" :y="zone.label.y - 4" class="halo fill-coral text-[11px]">{{
        zone.name
      }}</text>
    </g>
    <rect x="0" :y="floor.y" :width="width" :height="Math.max(0, height - floor.y)" class="fill-plank/60" />
    <path :d="`M0 ${floor.y}H${width}`" class="stroke-rule-2" stroke-width="1.5" />
    <path :d="`M${floor.x} 0V${height}`" class="stroke-rule-2/70" stroke-dasharray="14 5 3 5" />
    <text :x="floor.x + 6" :y="height - 10" class="halo fill-haze text-[11px]">{{
      side === 'side' ? 'setting line' : 'centre line'
    }}</text>
    <g :transform="`translate(${width - bar.pixels - 24} ${height - 20})`">
      <path :d="`M0 -4V4M0 0H${bar.pixels}M${bar.pixels} -4V4`" class="stroke-mist" fill="none" />
      <text :x="bar.pixels / 2" y="-6" class="halo fill-mist font-mono text-[11px]" text-anchor="middle"
        >{{ bar.metres }} m</text
      >
    </g>
  </g>
</template>
