<script setup lang="ts">
/** A small picture of where light falls: the stage seen from the front and a little above. */
import { computed } from 'vue'
import type { StageFixture } from '#core/cues/onStage'
import { DEGREE } from '#core/geometry/rotation'
import { vec3, type Vec3 } from '#core/geometry/vector'
import { poolOnLevel } from '#core/light/pool'
import type { Venue } from '#core/show/entities'

const props = defineProps<{ fixtures: readonly StageFixture[]; venue: Venue; byIntensity?: boolean }>()

const WIDTH = 130
const HEIGHT = 70

/** Metres to pixels: depth and height both go up, so that upstage and high stay apart. */
const project = computed(() => {
  const k = (WIDTH - 12) / (props.venue.opening.width + 4)
  return (p: Vec3) => ({ x: WIDTH / 2 + k * p.x, y: 58 - k * (0.5 * p.y + 0.58 * p.z) })
})

const edge = computed(() => {
  const front = props.venue.outline.filter((p) => p.y <= 0.01)
  return front
    .map((p, i) => {
      const { x, y } = project.value(vec3(p.x, p.y, 0))
      return `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`
    })
    .join('')
})

/** Lights of one strength are one path: a picture is a handful of elements, however many fixtures there are. */
const STRENGTHS = 5
const lights = computed(() => {
  const groups = new Map<string, { key: string; strength: number; isShort: boolean; lines: string; pools: string }>()
  for (const { position, beam, zoom, intensity } of props.fixtures) {
    const strength = props.byIntensity ? Math.ceil(intensity * STRENGTHS) / STRENGTHS : 1
    const isShort = position.state === 'out of reach'
    const key = `${strength} ${isShort}`
    const group = groups.get(key) ?? { key, strength, isShort, lines: '', pools: '' }
    groups.set(key, group)
    const from = project.value(beam.lens)
    const to = position.point && project.value(position.point)
    if (to) group.lines += `M${from.x.toFixed(1)} ${from.y.toFixed(1)}L${to.x.toFixed(1)} ${to.y.toFixed(1)}`
    const pool = position.point && poolOnLevel(beam, zoom.angle, position.point.z, 14)
    if (pool?.kind === 'closed') group.pools += outlineOf(pool)
  }
  return [...groups.values()]
})

function outlineOf(pool: { centre: Vec3; halfLong: number; halfShort: number; turn: number }): string {
  const c = Math.cos(pool.turn * DEGREE)
  const s = Math.sin(pool.turn * DEGREE)
  const points = Array.from({ length: 20 }, (_, i) => {
    const along = pool.halfLong * Math.cos((i * Math.PI) / 10)
    const across = pool.halfShort * Math.sin((i * Math.PI) / 10)
    const { x, y } = project.value(
      vec3(pool.centre.x + c * along - s * across, pool.centre.y + s * along + c * across, pool.centre.z),
    )
    return `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`
  })
  return `${points.join('')}Z`
}
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" class="block w-full" preserveAspectRatio="xMidYMid meet" aria-hidden="true">
    <path :d="edge" class="stroke-rule-2" fill="none" stroke-width="1" vector-effect="non-scaling-stroke" />
    <g v-for="light in lights" :key="light.key" :opacity="light.strength">
      <path
        :d="light.lines"
        :class="light.isShort ? 'stroke-coral' : 'stroke-brass'"
        stroke-opacity="0.45"
        stroke-width="0.8"
        vector-effect="non-scaling-stroke"
        fill="none"
      />
      <path
        :d="light.pools"
        class="fill-brass stroke-brass"
        fill-opacity="0.24"
        stroke-width="0.9"
        vector-effect="non-scaling-stroke"
      />
    </g>
  </svg>
</template>
