<script setup lang="ts">
/** The stage as this window looks at it: plan, section or space. */
import { computed, useTemplateRef } from 'vue'
import type { Show } from '#core/show/show'
import type { Picture } from '../../composables/stage/useStageLayers'
import { useStage } from '../../stores/stage'
import StagePlan from './StagePlan.vue'
import StageSection from './StageSection.vue'

/** What the keys of a room ask of any drawing. */
interface Drawing {
  cancel(): boolean
  zoomIn(): void
  zoomOut(): void
  fit(): void
  panBy(x: number, y: number): void
}

defineProps<{ show: Show; poolsAtFloor: boolean; picture?: Picture | undefined }>()
const stage = useStage()
const plan = useTemplateRef<Drawing>('plan')
const section = useTemplateRef<Drawing>('section')
const space = useTemplateRef<Drawing>('space')
const drawing = computed(() => plan.value ?? section.value ?? space.value)

defineExpose({
  cancel: () => drawing.value?.cancel() ?? false,
  zoomIn: () => drawing.value?.zoomIn(),
  zoomOut: () => drawing.value?.zoomOut(),
  fit: () => drawing.value?.fit(),
  panBy: (x: number, y: number) => drawing.value?.panBy(x, y),
})
</script>

<template>
  <StagePlan v-if="stage.view === 'plan'" ref="plan" :show="show" :pools-at-floor="poolsAtFloor" :picture="picture" />
  <StageSection v-else-if="stage.view === 'section'" ref="section" :show="show" :picture="picture" />
  <LazyStageSpace v-else ref="space" :show="show" />
</template>
