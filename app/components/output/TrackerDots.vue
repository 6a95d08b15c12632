<script setup lang="ts">
/** Where trackers say they are, in plan. */
import { computed } from 'vue'
import type { TrackerStatus } from '#core/tracking/told'
import { usePlan } from '../../composables/stage/planKey'

const props = defineProps<{ trackers: readonly TrackerStatus[] }>()
const { toScreen } = usePlan()
const dots = computed(() => props.trackers.map((tracker) => ({ ...tracker, at: toScreen(tracker.place) })))
</script>

<template>
  <g v-for="dot in dots" :key="dot.id" pointer-events="none">
    <circle :cx="dot.at.x" :cy="dot.at.y" r="2.5" :class="dot.isHeard ? 'fill-shoal' : 'fill-haze'" />
    <text
      :x="dot.at.x"
      :y="dot.at.y - 9"
      text-anchor="middle"
      class="halo font-mono text-[10px]"
      :class="dot.isHeard ? 'fill-shoal' : 'fill-haze'"
    >
      {{ dot.id }}
    </text>
  </g>
</template>
