<script setup lang="ts">
/** Beams in a section: the axis, the cone's sides to the ends of its pool, and the pool edge on. */
import { computed } from 'vue'
import type { StageFixture } from '#core/cues/onStage'
import { poolOnLevel } from '#core/light/pool'
import { usePlan } from '../../composables/planKey'
import { pathOf } from './svgPath'

const props = defineProps<{ fixtures: readonly StageFixture[]; look: 'lit' | 'chosen' | 'ghost' }>()
const { toScreen } = usePlan()

/** Points the rim of a pool is looked at by. */
const RIM = 32
const MANY = 6
const strength = computed(() => 0.1 * Math.min(1, Math.sqrt(MANY / Math.max(1, props.fixtures.length))))

const lights = computed(() =>
  props.fixtures.map(({ position, beam, zoom, rigged }) => {
    const from = toScreen(beam.lens)
    const end = position.point && toScreen(position.point)
    const pool = poolOnLevel(beam, zoom.angle, position.point?.z ?? 0, 24)
    const rim = pool?.kind === 'closed' ? rimOf(pool).map(toScreen) : []
    const left = rim.reduce((a, b) => (b.x < a.x ? b : a), rim[0] ?? from)
    const right = rim.reduce((a, b) => (b.x > a.x ? b : a), rim[0] ?? from)
    return {
      id: rigged.id,
      isShort: position.state === 'out of reach' || position.state === 'outside stops',
      axis: end && `M${from.x.toFixed(1)} ${from.y.toFixed(1)}L${end.x.toFixed(1)} ${end.y.toFixed(1)}`,
      cone: rim.length > 0 ? pathOf([from, left, right]) : '',
      pool: rim.length > 0 ? pathOf([left, right], false) : '',
    }
  }),
)

function rimOf({
  centre,
  halfLong,
  halfShort,
  turn,
}: {
  centre: { x: number; y: number; z: number }
  halfLong: number
  halfShort: number
  turn: number
}) {
  const angle = (turn * Math.PI) / 180
  return Array.from({ length: RIM }, (_, i) => {
    const t = (2 * Math.PI * i) / RIM
    const [u, v] = [halfLong * Math.cos(t), halfShort * Math.sin(t)]
    return {
      x: centre.x + u * Math.cos(angle) - v * Math.sin(angle),
      y: centre.y + u * Math.sin(angle) + v * Math.cos(angle),
      z: centre.z,
    }
  })
}
</script>

<template>
  <g pointer-events="none" :data-light="look">
    <g v-for="light in lights" :key="light.id" :class="look === 'ghost' ? 'stroke-shoal' : 'stroke-brass'">
      <path
        v-if="light.cone && look !== 'ghost'"
        :d="light.cone"
        class="fill-brass"
        stroke="none"
        :fill-opacity="look === 'lit' ? strength / 2 : strength"
      />
      <path
        v-if="light.axis"
        :d="light.axis"
        fill="none"
        :class="light.isShort ? 'stroke-coral' : ''"
        :stroke-opacity="look === 'lit' ? 0.25 : 0.75"
        :stroke-dasharray="light.isShort || look === 'ghost' ? '5 4' : undefined"
      />
      <path v-if="light.pool" :d="light.pool" stroke-width="2.5" :stroke-opacity="look === 'lit' ? 0.35 : 0.9" />
    </g>
  </g>
</template>
