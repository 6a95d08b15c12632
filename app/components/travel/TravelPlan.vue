<script setup lang="ts">
/** The moves of a cue in plan: only what moves, with its ways, over the stage and the light around. */
import { computed } from 'vue'
import type { Show } from '#core/show/show'
import { useSelection } from '../../stores/selection'
import { useTravelView } from '../../stores/travelView'
import LightPlan from '../stage/LightPlan.vue'
import PlanPaths from './PlanPaths.vue'

defineProps<{ show: Show }>()
const view = useTravelView()
const selection = useSelection()
/** Both ends of each move. */
const told = computed(() => view.shown.flatMap(({ from, to }) => [from, to]))
</script>

<template>
  <LightPlan
    :show="show"
    label="Plan of the moves"
    :chosen="view.looked"
    :lit="view.around"
    :told="told"
    @pick="(fixtures) => selection.set(fixtures)"
  >
    <PlanPaths :show="show" />
  </LightPlan>
</template>
