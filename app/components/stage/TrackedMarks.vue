<script setup lang="ts">
/** Where targets are that follow trackers, with a line to their own places. */
import { computed } from 'vue'
import { targetsOf } from '#core/show/targets'
import { usePlan } from '../../composables/stage/planKey'
import { useShow } from '../../stores/show'
import { useTracked } from '../../stores/tracked'

const store = useShow()
const tracked = useTracked()
const { toScreen } = usePlan()

/** Pixels from its own mark from which on a line is drawn to it, and from which on a second name is not in the way. */
const [OUTSIDE, CLEAR_OF_NAME] = [9, 60]

const marks = computed(() =>
  [...tracked.places].flatMap(([id, { place, state }]) => {
    const placed = store.view && targetsOf(store.view).get(id)
    if (!placed) return []
    const [at, own] = [toScreen(place), toScreen(placed.position)]
    const pixels = Math.hypot(at.x - own.x, at.y - own.y)
    const [isAway, isNamed] = [pixels > OUTSIDE, pixels > CLEAR_OF_NAME]
    return [
      { id, name: placed.target.name, at, own, isAway, isNamed, isLost: state === 'lost' || state === 'not heard' },
    ]
  }),
)
</script>

<template>
  <g v-for="mark in marks" :key="mark.id" pointer-events="none">
    <path
      v-if="mark.isAway"
      :d="`M${mark.own.x} ${mark.own.y}L${mark.at.x} ${mark.at.y}`"
      class="stroke-kelp/60"
      stroke-dasharray="1 3"
    />
    <circle
      :cx="mark.at.x"
      :cy="mark.at.y"
      r="5"
      class="fill-none"
      :class="mark.isLost ? 'stroke-coral' : 'stroke-kelp'"
      stroke-width="1.6"
    />
    <text
      v-if="mark.isNamed"
      :x="mark.at.x + 8"
      :y="mark.at.y + 4"
      class="halo text-[11px]"
      :class="mark.isLost ? 'fill-coral' : 'fill-kelp'"
    >
      {{ mark.name }}{{ mark.isLost ? ', lost' : '' }}
    </text>
  </g>
</template>
