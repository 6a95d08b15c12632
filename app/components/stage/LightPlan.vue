<script setup lang="ts">
/** Some light alone in plan: its heads, its pools and its places over the stage, with light around it and ghosts. */
import { computed } from 'vue'
import type { StageFixture } from '#core/cues/onStage'
import type { FixtureId } from '#core/show/ids'
import { entity, showRecordOf, type Show } from '#core/show/show'
import { setPiecesOf } from '#core/show/setPieces'
import { targetsOf } from '#core/show/targets'
import { drawnHangs, drawnSpots } from '#core/drawing/drawnHangs'
import { PLAN } from '#core/drawing/projections'
import { useOwnColour } from '../../composables/stage/useOwnColour'
import type { Extent } from '../../composables/stage/usePlanView'
import PlanGround from './PlanGround.vue'
import PlanLight from './PlanLight.vue'
import PlanRig from './PlanRig.vue'
import PlanSet from './PlanSet.vue'
import PlanTargets from './PlanTargets.vue'
import StageDrawing from './StageDrawing.vue'

const props = defineProps<{
  show: Show
  label: string
  chosen: readonly StageFixture[]
  /** Light around it, seen but not told. */
  lit?: readonly StageFixture[]
  ghost?: readonly StageFixture[]
  /** The light whose heads and targets are drawn and that the view holds; what is chosen, where left out. */
  told?: readonly StageFixture[]
}>()
const emit = defineEmits<{ pick: [fixtures: readonly FixtureId[]] }>()
const isInOwnColour = useOwnColour()

const venue = computed(() => entity(props.show, 'venue', showRecordOf(props.show).venue))
const pieces = computed(() => setPiecesOf(props.show))
const spots = computed(() => drawnSpots(props.show))
const told = computed(() => props.told ?? props.chosen)
const hangs = computed(() => {
  const shown = new Set(told.value.map(({ rigged }) => rigged.id))
  return drawnHangs(props.show).flatMap((hang) => {
    const fixtures = hang.fixtures.filter(({ members }) => members.some((member) => shown.has(member)))
    return fixtures.length > 0 ? [{ ...hang, fixtures }] : []
  })
})
const aimedAt = (light: readonly StageFixture[]) =>
  new Set<string>(
    light.flatMap(({ positionValue }) => (positionValue?.kind === 'aim' ? (positionValue.target ?? []) : [])),
  )
const litTargets = computed(() => aimedAt(props.chosen))
const targets = computed(() => {
  const shown = aimedAt(told.value)
  return new Map([...targetsOf(props.show)].filter(([, { id }]) => shown.has(id)))
})

/** Kept free around it, metres. */
const SPARE = 1
/** Around the heads and the places of their light, with the edge of the stage. */
const extent = computed<Extent>(() => {
  const points = told.value.flatMap(({ rigged, position }) => [rigged.mount.pivot, position.point ?? []].flat())
  const half = venue.value.opening.width / 2
  const xs = points.map(({ x }) => Math.max(-half, Math.min(half, x)))
  const ys = points.map(({ y }) => Math.min(venue.value.opening.depth, y))
  return {
    left: Math.min(-half / 2, ...xs) - SPARE,
    right: Math.max(half / 2, ...xs) + SPARE,
    bottom: Math.min(-2, ...ys) - SPARE,
    top: Math.max(4, ...ys) + SPARE,
  }
})
const NOBODY = new Set<never>()
</script>

<template>
  <StageDrawing :label="label" :extent="extent" :projection="PLAN" :spots="spots">
    <template #ground>
      <PlanGround :venue="venue" />
      <PlanSet :pieces="pieces" :grabbable="false" :movable="false" :chosen="null" />
    </template>
    <template #light>
      <PlanLight
        :lit="lit ?? []"
        :ghost="ghost ?? []"
        :chosen="chosen"
        :spots="spots"
        :venue="venue"
        :at-floor="false"
        :own-colour="isInOwnColour"
      />
    </template>
    <template #rig>
      <PlanRig
        :hangs="hangs"
        :targets="targets"
        :marked="NOBODY"
        :grabbable="false"
        :movable="false"
        :chosen="null"
        @pick="(_, fixtures) => emit('pick', fixtures)"
      />
    </template>
    <template #default>
      <PlanTargets :targets="targets" :before="targets" :lit="litTargets" :chosen="null" tool="select" :hangs="hangs" />
      <slot />
    </template>
  </StageDrawing>
</template>
