<script setup lang="ts">
/** The place a lens is chosen for. */
import { computed } from 'vue'
import { pointOn, type PlacedTarget } from '#core/show/targets'
import { usePlan } from '../../composables/stage/planKey'
import { useStage } from '../../stores/stage'

const props = defineProps<{ targets: ReadonlyMap<string, PlacedTarget> }>()
const stage = useStage()
const { toScreen } = usePlan()

const at = computed(() => {
  if (!stage.lensPlace) return null
  const placed = props.targets.get(stage.lensPlace.target ?? '')
  return toScreen(placed ? pointOn(placed, null) : stage.lensPlace.at)
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
