<script setup lang="ts">
/** The stage as a scale plan: the desk's main surface. */
import { computed, ref } from 'vue'
import { Maximize, Minus, Plus } from '@lucide/vue'
import { pictureOf, type StageFixture } from '#core/cues/onStage'
import { paletteValueFor } from '#core/palettes/resolve'
import { rigOf } from '#core/show/rig'
import { setPiecesOf } from '#core/show/setPieces'
import { entity, showRecordOf } from '#core/show/show'
import { targetsOf } from '#core/show/targets'
import type { FixtureId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { drawnHangs, drawnSpots } from '../../composables/fixtureSpots'
import { providePlan } from '../../composables/planKey'
import { usePlanPointer } from '../../composables/usePlanPointer'
import { usePlanView } from '../../composables/usePlanView'
import { useDesk } from '../../stores/desk'
import { useProposal } from '../../stores/proposal'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'
import PlanGround from './PlanGround.vue'
import PlanLight from './PlanLight.vue'
import PlanRig from './PlanRig.vue'
import PlanSet from './PlanSet.vue'
import PlanTargets from './PlanTargets.vue'

const props = defineProps<{ show: Show; poolsAtFloor: boolean }>()
const desk = useDesk()
const selection = useSelection()
const proposal = useProposal()
const store = useShow()
const svg = ref<SVGSVGElement | null>(null)

const venue = computed(() => entity(props.show, 'venue', showRecordOf(props.show).venue))
const hangs = computed(() => drawnHangs(props.show))
const spots = computed(() => drawnSpots(props.show))
const pieces = computed(() => setPiecesOf(props.show))
const targets = computed(() => targetsOf(props.show))
const targetsBefore = computed(() => (store.view ? targetsOf(store.view) : targets.value))
const extent = computed(() => {
  const half = venue.value.opening.width / 2 + 1.2
  const points = [...venue.value.outline, ...venue.value.keepClear.flatMap((zone) => zone.outline)]
  const ends = hangs.value.flatMap((hang) => [hang.from, hang.to])
  const xs = [...points, ...ends].map((p) => p.x)
  const ys = [...points, ...ends].map((p) => p.y)
  return {
    left: Math.min(-half, ...xs),
    right: Math.max(half, ...xs),
    bottom: Math.min(...ys, -1),
    top: Math.max(...ys, 2),
  }
})
const view = usePlanView(svg, () => extent.value)
providePlan(view)
const pointer = usePlanPointer(svg, view, spots)

const chosen = computed(() => selection.fixtures.flatMap((id) => desk.seen(id) ?? []))
const lit = computed(() =>
  [...desk.standing.values()].filter((f) => f.intensity > 0.01 && !selection.order.has(f.rigged.id)),
)
const litTargets = computed(() => {
  const targets = new Set<string>()
  for (const { positionValue } of chosen.value)
    if (positionValue?.kind === 'aim' && positionValue.target) targets.add(positionValue.target)
  return targets
})
/** A palette looked at but not recalled, for the selection or, without one, for all it serves. */
const ghost = computed<StageFixture[]>(() => {
  const palette = desk.hoveredPalette
  if (!palette) return []
  const rig = rigOf(props.show)
  const ids: readonly FixtureId[] = selection.fixtures.length > 0 ? selection.fixtures : [...rig.keys()]
  return ids.flatMap((id) => {
    const rigged = rig.get(id)
    if (!rigged || !paletteValueFor(props.show, palette, rigged, 'position')) return []
    return [pictureOf(props.show, rigged, (_, attribute) => paletteValueFor(props.show, palette, rigged, attribute))]
  })
})
/** Those who lose their place by what is proposed. */
const marked = computed(() => new Set(proposal.current?.effects.losingReach ?? []))

/** The handle of the light: where the selection is aimed, when it is aimed at one place. */
const handle = computed(() => {
  const [first] = chosen.value
  const value = first?.positionValue
  const point = first?.position.point
  if (!first || !point) return null
  const at = view.toScreen(point)
  if (value?.kind !== 'aim') return { at, from: { target: null, offset: point } }
  return { at, from: { target: value.target, offset: value.offset } }
})

defineExpose({ cancel: pointer.cancel, zoomIn: view.zoomIn, zoomOut: view.zoomOut, fit: view.fit, panBy: view.panBy })
</script>

<template>
  <div class="relative h-full min-h-0 w-full overflow-hidden bg-night contain-strict">
    <svg
      ref="svg"
      class="block h-full w-full touch-none select-none"
      :class="desk.tool === 'aim' && selection.fixtures.length ? 'cursor-crosshair' : ''"
      role="group"
      aria-label="Stage plan"
      @pointerdown="pointer.onBackground"
      @pointermove="pointer.onMove"
      @pointerup="pointer.onUp"
      @pointercancel="pointer.cancel"
    >
      <defs>
        <pattern id="keep-clear" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V8" class="stroke-coral/20" stroke-width="2" />
        </pattern>
      </defs>
      <template v-if="view.width.value > 0">
        <PlanGround :venue="venue" />
        <PlanSet :pieces="pieces" :movable="desk.tool === 'move'" @grab="pointer.onSetPiece" />
        <PlanLight :fixtures="lit" :spots="spots" :at-floor="poolsAtFloor" look="lit" />
        <PlanLight :fixtures="ghost" :spots="spots" :at-floor="poolsAtFloor" look="ghost" />
        <PlanLight :fixtures="chosen" :spots="spots" :at-floor="poolsAtFloor" look="chosen" />
        <PlanRig
          :hangs="hangs"
          :order="selection.order"
          :marked="marked"
          :movable="desk.tool === 'move'"
          @pick="pointer.onFixture"
          @grab-hang="pointer.onHang"
        />
        <PlanTargets
          :targets="targets"
          :before="targetsBefore"
          :lit="litTargets"
          :tool="desk.tool"
          :spots="spots"
          @grab="pointer.onTarget"
        />
        <g
          v-if="handle && desk.tool !== 'move'"
          class="cursor-grab"
          role="img"
          aria-label="Handle of the light"
          :transform="`translate(${handle.at.x.toFixed(1)} ${handle.at.y.toFixed(1)})`"
          @pointerdown="pointer.onHandle($event, handle.from)"
        >
          <circle r="11" fill="transparent" />
          <circle r="4.500" class="fill-sail stroke-night" stroke-width="1.500" />
        </g>
        <rect
          v-if="pointer.box.value"
          class="fill-shoal/10 stroke-shoal"
          stroke-dasharray="4 3"
          :x="Math.min(pointer.box.value.from.x, pointer.box.value.to.x)"
          :y="Math.min(pointer.box.value.from.y, pointer.box.value.to.y)"
          :width="Math.abs(pointer.box.value.to.x - pointer.box.value.from.x)"
          :height="Math.abs(pointer.box.value.to.y - pointer.box.value.from.y)"
        />
      </template>
    </svg>
    <div class="absolute right-3 bottom-9 flex flex-col gap-1" role="group" aria-label="Plan view">
      <button type="button" class="chip p-1" title="Nearer (+)" aria-label="Nearer" @click="view.zoomIn">
        <Plus :size="14" />
      </button>
      <button type="button" class="chip p-1" title="Further (−)" aria-label="Further" @click="view.zoomOut">
        <Minus :size="14" />
      </button>
      <button type="button" class="chip p-1" title="Fit the stage (F)" aria-label="Fit the stage" @click="view.fit">
        <Maximize :size="14" />
      </button>
    </div>
  </div>
</template>
