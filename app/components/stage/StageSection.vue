<script setup lang="ts">
/** The stage cut upright: from stage left, or from the house. Heights are true here. */
import { computed, useTemplateRef } from 'vue'
import { FRONT, SIDE } from '#core/drawing/projections'
import { SECTION_HANGS, sectionSpots } from '#core/drawing/sectionHangs'
import { useOwnColour } from '../../composables/stage/useOwnColour'
import { useStageLayers, type Picture } from '../../composables/stage/useStageLayers'
import { useChosen } from '../../stores/chosen'
import { useStage } from '../../stores/stage'
import { useShow } from '../../stores/show'
import type { Show } from '#core/show/show'
import LensMark from './LensMark.vue'
import LightHandle from './LightHandle.vue'
import PlanRig from './PlanRig.vue'
import PlanTargets from './PlanTargets.vue'
import SectionGround from './SectionGround.vue'
import SectionLight from './SectionLight.vue'
import SectionSet from './SectionSet.vue'
import StageDrawing from './StageDrawing.vue'

const props = defineProps<{ show: Show; picture?: Picture | undefined }>()
const store = useShow()
const stage = useStage()
const things = useChosen()
const isInOwnColour = useOwnColour()
const drawing = useTemplateRef<InstanceType<typeof StageDrawing>>('drawing')
const { venue, pieces, targets, targetsBefore, chosen, lit, handled, litTargets, ghost, marked } = useStageLayers(
  () => props.show,
  () => props.picture ?? 'worked on',
)
const projection = computed(() => (stage.section === 'side' ? SIDE : FRONT))
const hangs = computed(() => SECTION_HANGS[stage.section](props.show))
const spots = computed(() => sectionSpots(hangs.value))
/** As they hang, without what is proposed. */
const standing = computed(() => SECTION_HANGS[stage.section](store.view ?? props.show))
const isGrabbable = computed(() => stage.tool === 'move' || stage.room === 'rig')
/** Set pieces can be dragged with the select tool too. */
const isSetGrabbable = computed(() => isGrabbable.value || stage.tool === 'select')

/** Kept free below the floor and above the opening, metres. */
const SPARE = 0.6
/** The stage as it stands: what is dragged does not pull the view along. */
const extent = computed(() => {
  const { opening, outline } = venue.value
  const points = [
    ...outline.map((p) => ({ ...p, z: 0 })),
    ...standing.value.flatMap(({ from, to }) => [from, to]),
    { x: opening.width / 2, y: 0, z: opening.height },
  ].map((p) => projection.value.project(p))
  const across = points.map((p) => p.across)
  return {
    left: Math.min(...across) - SPARE,
    right: Math.max(...across) + SPARE,
    bottom: -SPARE,
    top: Math.max(...points.map((p) => p.up)) + SPARE,
  }
})

defineExpose({
  cancel: () => drawing.value?.cancel() ?? false,
  zoomIn: () => drawing.value?.zoomIn(),
  zoomOut: () => drawing.value?.zoomOut(),
  fit: () => drawing.value?.fit(),
  panBy: (x: number, y: number) => drawing.value?.panBy(x, y),
})
</script>

<template>
  <StageDrawing
    ref="drawing"
    :label="stage.section === 'side' ? 'Section from stage left' : 'Section from the house'"
    :extent="extent"
    :projection="projection"
    :spots="spots"
  >
    <template #ground="{ pointer }">
      <SectionGround :venue="venue" :side="stage.section" />
      <SectionSet
        :pieces="pieces"
        :grabbable="isSetGrabbable"
        :movable="stage.tool === 'move'"
        :chosen="things.idOf('setPiece')"
        @grab="pointer.onSetPiece"
      />
    </template>
    <template #light><SectionLight :lit="lit" :ghost="ghost" :chosen="chosen" :own-colour="isInOwnColour" /></template>
    <template #rig="{ pointer }">
      <PlanRig
        :hangs="hangs"
        :targets="targetsBefore"
        :marked="marked"
        :grabbable="isGrabbable"
        :movable="stage.tool === 'move'"
        :chosen="things.idOf('hang')"
        @pick="pointer.onFixture"
        @grab-hang="pointer.onHang"
      />
    </template>
    <template #default="{ pointer }">
      <PlanTargets
        :targets="targets"
        :before="targetsBefore"
        :lit="litTargets"
        :chosen="things.idOf('target')"
        :tool="stage.tool"
        :hangs="hangs"
        @grab="pointer.onTarget"
      />
      <LensMark v-if="stage.tool === 'lens'" :targets="targets" />
      <LightHandle v-if="stage.tool !== 'move' && stage.room === 'focus'" :chosen="handled" @grab="pointer.onHandle" />
    </template>
  </StageDrawing>
</template>
