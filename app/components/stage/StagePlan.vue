<script setup lang="ts">
/** The stage as a scale plan: the main surface of the Focus and Rig rooms. */
import { computed, useTemplateRef } from 'vue'
import type { Show } from '#core/show/show'
import { drawnHangs, drawnSpots } from '#core/drawing/drawnHangs'
import { PLAN } from '#core/drawing/projections'
import { useOwnColour } from '../../composables/stage/useOwnColour'
import { useStageLayers, type Picture } from '../../composables/stage/useStageLayers'
import type { Extent } from '../../composables/stage/usePlanView'
import { useChosen } from '../../stores/chosen'
import { useCompared } from '../../stores/compared'
import { useStage } from '../../stores/stage'
import { useShow } from '../../stores/show'
import LensMark from './LensMark.vue'
import LightHandle from './LightHandle.vue'
import PlanGround from './PlanGround.vue'
import PlanLight from './PlanLight.vue'
import PlanOutline from './PlanOutline.vue'
import PlanRig from './PlanRig.vue'
import PlanSet from './PlanSet.vue'
import PoolRim from './PoolRim.vue'
import PlanUnderlays from './PlanUnderlays.vue'
import PlanTargets from './PlanTargets.vue'
import StageDrawing from './StageDrawing.vue'

const props = defineProps<{ show: Show; poolsAtFloor: boolean; picture?: Picture | undefined }>()
const store = useShow()
const stage = useStage()
const compared = useCompared()
const things = useChosen()
const isInOwnColour = useOwnColour()
const drawing = useTemplateRef<InstanceType<typeof StageDrawing>>('drawing')
const { venue, pieces, targets, targetsBefore, chosen, lit, handled, litTargets, ghost, marked } = useStageLayers(
  () => props.show,
  () => props.picture ?? 'worked on',
)
const hangs = computed(() => drawnHangs(props.show))
const spots = computed(() => drawnSpots(props.show))
/** As they hang, without what is proposed. */
const standing = computed(() => drawnHangs(store.view ?? props.show))
const isGrabbable = computed(() => stage.tool === 'move' || stage.room === 'rig')
/** Set pieces can be dragged with the select tool too. */
const isSetGrabbable = computed(() => isGrabbable.value || stage.tool === 'select')

/** Kept free around what is compared, metres. */
const SPARE = 0.8
/** The stage as it stands: what is dragged does not pull the view along. */
const extent = computed(() => (props.picture === 'compared' ? comparedExtent() : null) ?? wholeExtent())

/** Around what is compared: its heads and the places of its light. */
function comparedExtent(): Extent | null {
  const { before = [], after = [] } = compared.pictures ?? {}
  const points = [...before, ...after].flatMap(({ rigged, position }) =>
    [rigged.mount.pivot, position.point ?? []].flat(),
  )
  if (points.length === 0) return null
  const xs = points.map(({ x }) => x)
  const ys = points.map(({ y }) => y)
  return {
    left: Math.min(...xs) - SPARE,
    right: Math.max(...xs) + SPARE,
    bottom: Math.min(...ys) - SPARE,
    top: Math.max(...ys) + SPARE,
  }
}

function wholeExtent(): Extent {
  const half = venue.value.opening.width / 2 + 1.2
  const points = [...venue.value.outline, ...venue.value.keepClear.flatMap((zone) => zone.outline)]
  const ends = standing.value.flatMap((hang) => [hang.from, hang.to])
  const xs = [...points, ...ends].map((p) => p.x)
  const ys = [...points, ...ends].map((p) => p.y)
  return {
    left: Math.min(-half, ...xs),
    right: Math.max(half, ...xs),
    bottom: Math.min(...ys, -1),
    top: Math.max(...ys, 2),
  }
}

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
    :label="
      { 'worked on': 'Stage plan', 'on stage': 'Stage plan, on stage', compared: 'Plan of what is compared' }[
        picture ?? 'worked on'
      ]
    "
    :extent="extent"
    :projection="PLAN"
    :spots="spots"
  >
    <template #ground="{ pointer }">
      <PlanGround :venue="venue" />
      <PlanUnderlays :show="show" />
      <PlanSet
        :pieces="pieces"
        :grabbable="isSetGrabbable"
        :movable="stage.tool === 'move'"
        :chosen="things.idOf('setPiece')"
        @grab="pointer.onSetPiece"
      />
    </template>
    <template #light>
      <PlanLight
        :lit="lit"
        :ghost="ghost"
        :chosen="chosen"
        :spots="spots"
        :venue="venue"
        :at-floor="poolsAtFloor"
        :own-colour="isInOwnColour"
      />
    </template>
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
      <PoolRim
        v-if="stage.tool === 'select' && stage.room === 'focus'"
        :chosen="handled"
        :at-floor="poolsAtFloor"
        @grab="pointer.onRim"
      />
      <PlanTargets
        :targets="targets"
        :before="targetsBefore"
        :lit="litTargets"
        :chosen="things.idOf('target')"
        :tool="stage.tool"
        :hangs="hangs"
        @grab="pointer.onTarget"
      />
      <PlanOutline v-if="stage.tool === 'outline'" />
      <LensMark v-if="stage.tool === 'lens'" :targets="targets" />
      <LightHandle v-if="stage.tool !== 'move' && stage.room === 'focus'" :chosen="handled" @grab="pointer.onHandle" />
    </template>
  </StageDrawing>
</template>
