<script setup lang="ts">
/** The moves of a cue in plan: only what moves, with its ways, over the stage and the light around. */
import { computed } from 'vue'
import { entity, showRecordOf, type Show } from '#core/show/show'
import { setPiecesOf } from '#core/show/setPieces'
import { targetsOf } from '#core/show/targets'
import { drawnHangs, drawnSpots } from '../../composables/stage/fixtureSpots'
import { PLAN } from '../../composables/stage/projections'
import { useOwnColour } from '../../composables/stage/useOwnColour'
import type { Extent } from '../../composables/stage/usePlanView'
import { useSelection } from '../../stores/selection'
import { useTravelView } from '../../stores/travelView'
import PlanGround from '../stage/PlanGround.vue'
import PlanLight from '../stage/PlanLight.vue'
import PlanRig from '../stage/PlanRig.vue'
import PlanSet from '../stage/PlanSet.vue'
import PlanTargets from '../stage/PlanTargets.vue'
import StageDrawing from '../stage/StageDrawing.vue'
import PlanPaths from './PlanPaths.vue'

const props = defineProps<{ show: Show }>()
const view = useTravelView()
const selection = useSelection()
const isInOwnColour = useOwnColour()

const venue = computed(() => entity(props.show, 'venue', showRecordOf(props.show).venue))
const pieces = computed(() => setPiecesOf(props.show))
const spots = computed(() => drawnSpots(props.show))
const hangs = computed(() => {
  const shown = new Set(view.shown.map(({ to }) => to.rigged.id))
  return drawnHangs(props.show).flatMap((hang) => {
    const fixtures = hang.fixtures.filter(({ members }) => members.some((member) => shown.has(member)))
    return fixtures.length > 0 ? [{ ...hang, fixtures }] : []
  })
})
/** Where the light is aimed before and after; those it is on its way to are lit. */
const aimedAt = computed(() => {
  const of = (end: 'from' | 'to') =>
    view.shown.flatMap((step) => {
      const { positionValue } = step[end]
      return positionValue?.kind === 'aim' && positionValue.target ? [positionValue.target] : []
    })
  return { before: of('from'), after: new Set<string>(of('to')) }
})
const targets = computed(() => {
  const { before, after } = aimedAt.value
  const shown = new Set<string>([...before, ...after])
  return new Map([...targetsOf(props.show)].filter(([, { id }]) => shown.has(id)))
})

/** Kept free around what moves, metres. */
const SPARE = 1
/** Around the heads that move and the places they come from and go to, with the edge of the stage. */
const extent = computed<Extent>(() => {
  const points = view.shown.flatMap(({ from, to }) =>
    [to.rigged.mount.pivot, from.position.point ?? [], to.position.point ?? []].flat(),
  )
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
  <StageDrawing label="Plan of the moves" :extent="extent" :projection="PLAN" :spots="spots">
    <template #ground>
      <PlanGround :venue="venue" />
      <PlanSet :pieces="pieces" :grabbable="false" :movable="false" :chosen="null" />
    </template>
    <template #light>
      <PlanLight
        :lit="view.around"
        :ghost="[]"
        :chosen="view.looked"
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
        @pick="(_, fixtures) => selection.set(fixtures)"
      />
    </template>
    <template #default>
      <PlanTargets
        :targets="targets"
        :before="targets"
        :lit="aimedAt.after"
        :chosen="null"
        tool="select"
        :hangs="hangs"
      />
      <PlanPaths :show="show" />
    </template>
  </StageDrawing>
</template>
