<script setup lang="ts">
/** The place a lens is chosen for. */
import { computed } from 'vue'
import { pointOn, type PlacedTarget } from '#core/show/targets'
import { usePlan } from '../../composables/stage/planKey'
import { useDesk } from '../../stores/desk'

const props = defineProps<{ targets: ReadonlyMap<string, PlacedTarget> }>()
const desk = useDesk()
const { toScreen } = usePlan()

const at = computed(() => {
  if (!desk.lensPlace) return null
  const placed = props.targets.get(desk.lensPlace.target ?? '')
  return toScreen(placed ? pointOn(placed, null) : desk.lensPlace.at)
})
</script>

<template>
  <g
    v-if="at"
    role="img"
    aria-label="Place of the lens"
    pointer-events="none"
    class="fill-none stroke-shoal"
    stroke-width="1.5"
    :transform="`translate(${at.x.toFixed(1)} ${at.y.toFixed(1)})`"
  >
    <circle r="13" />
    <path d="M-19 0H-7M7 0H19M0 -19V-7M0 7V19" />
  </g>
</template>
