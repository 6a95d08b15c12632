<script setup lang="ts">
/** Where pools go in a cue, in plan: the way they take, the other kind beside it, and where a lit beam is in a keep-clear zone. */
import { computed } from 'vue'
import type { Vec3 } from '#core/geometry/vector'
import type { Show } from '#core/show/show'
import type { PoolPath } from '#core/travel/onTheWay'
import { usePlan } from '../../composables/stage/planKey'
import { useTravelWays } from '../../composables/travel/useTravelWays'
import { pathOf } from '#core/drawing/svgPath'

const props = defineProps<{ show: Show }>()
const { toScreen } = usePlan()
const ways = useTravelWays(() => props.show)

/** Half as long as a tick across a path is, pixels. */
const TICK = 4

const paths = computed(() =>
  ways.value.map(({ id, own, other, swept }) => ({
    id,
    own: lineOf(own.points),
    ticks: ticksOf(own),
    other: other && lineOf(other.points),
    swept: swept.flatMap((part) => lineOf(part) ?? []),
  })),
)

const lineOf = (points: readonly Vec3[]) => (points.length < 2 ? null : pathOf(points.map(toScreen), false))

/** A short line across the path at every second. */
function ticksOf({ points, ticks }: PoolPath): string {
  return ticks
    .map((tick) => {
      const nearest = points.reduce(
        (best, point, i) => (far(point, tick) < far(points[best] ?? point, tick) ? i : best),
        0,
      )
      const [before, after] = [points[Math.max(0, nearest - 1)] ?? tick, points[nearest + 1] ?? tick].map(toScreen)
      const at = toScreen(tick)
      if (!before || !after) return ''
      const size = Math.hypot(after.x - before.x, after.y - before.y) || 1
      const [x, y] = [(-(after.y - before.y) / size) * TICK, ((after.x - before.x) / size) * TICK]
      return `M${(at.x - x).toFixed(1)} ${(at.y - y).toFixed(1)}L${(at.x + x).toFixed(1)} ${(at.y + y).toFixed(1)}`
    })
    .join('')
}
const far = (a: Vec3, b: Vec3) => Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z)
</script>

<template>
  <g fill="none" pointer-events="none">
    <g v-for="path in paths" :key="path.id">
      <path v-if="path.other" :d="path.other" class="stroke-haze/70" stroke-dasharray="3 4" />
      <path v-if="path.own" :d="path.own" class="stroke-brass" stroke-width="1.6" />
      <path v-if="path.ticks" :d="path.ticks" class="stroke-brass" stroke-width="1.2" />
      <path
        v-for="line in path.swept"
        :key="line"
        :d="line"
        class="stroke-coral"
        stroke-width="3"
        stroke-linecap="round"
      />
    </g>
  </g>
</template>
