<script setup lang="ts">
/**
 * The blades in a picture of the pool, looking with the light. An edge is drawn in and out by its
 * middle and leant by its ends, the frame turned by the mark outside; every selected fixture changes by
 * the same. The rows below do the same by keys and typing.
 */
import { computed, shallowRef, useTemplateRef } from 'vue'
import { kindOf } from '#core/attributes/attribute'
import { BLADE_SIDES, type BladeSide, type SeenAs } from '#core/attributes/catalogue'
import { angleAt, bladeHandles, bladeOfCorners, cornerAt, depthAt, frameTurnAt } from '#core/light/bladeHandles'
import { openingOf, PLAIN_LIGHT, type Blade } from '#core/light/gate'
import { turnPoint, type GatePoint } from '#core/light/gatePoint'
import type { HandAttribute } from '../../composables/hand/useHandAttributes'
import { gatePath } from '#core/drawing/gatePath'
import { useSelection } from '../../stores/selection'
import { useStage } from '../../stores/stage'

const props = defineProps<{ attributes: readonly HandAttribute[] }>()
const stage = useStage()
const selection = useSelection()
const picture = useTemplateRef<SVGSVGElement>('picture')

/** In units of the drawing: its half size, the rim of the pool, and where the mark of the frame is. */
const HALF = 74
const RADIUS = 52
const MARK = 1.27

const find = (as: SeenAs, side?: BladeSide) =>
  props.attributes.find(({ attribute }) => {
    const kind = kindOf(attribute)
    return kind.seenAs === as && kind.side === side
  })

/** What a drag began with, and how much it has come to. */
interface Drag {
  readonly attribute: HandAttribute
  readonly wanted: (place: GatePoint) => number
  readonly began: number
  readonly by: number
}
const drag = shallowRef<Drag | null>(null)
/** What an attribute shows of the first fixture: while it is dragged by the drag itself. */
function shown(attribute: HandAttribute | undefined): number {
  if (!attribute) return 0
  const { range, first } = attribute
  if (drag.value?.attribute.attribute !== attribute.attribute) return first
  return Math.min(range.max, Math.max(range.min, drag.value.began + drag.value.by))
}

const frame = computed(() => find('frame turn'))
const frameTurn = computed(() => shown(frame.value))
const blades = computed(() =>
  BLADE_SIDES.flatMap((side) => {
    const depth = find('blade depth', side)
    const angle = find('blade angle', side)
    const corners = [find('blade first corner', side), find('blade second corner', side)] as const
    if (!depth && !corners[0] && !corners[1]) return []
    const blade = depth
      ? { side, depth: shown(depth), angle: shown(angle) }
      : bladeOfCorners(side, shown(corners[0]), shown(corners[1]))
    return [{ blade, depth, angle, corners, handles: bladeHandles(blade, frameTurn.value) }]
  }),
)
const doDiffer = computed(() => props.attributes.some(({ low, high }) => low !== high))
const hint = computed(() => {
  if (doDiffer.value) return 'The first fixture; each changes by the same.'
  const edges = blades.value.some(({ depth }) => depth)
    ? 'Draw an edge in by its middle, lean it by its ends'
    : 'Draw an edge in by its corners'
  return frame.value ? `${edges}, turn all by the mark.` : `${edges}.`
})
const opening = computed(() => {
  const standing = blades.value.map(({ blade }) => blade).filter(({ depth }) => depth > 0)
  return gatePath([openingOf({ ...PLAIN_LIGHT, blades: standing, frameTurn: frameTurn.value })], RADIUS)
})
const mark = computed(() => turnPoint([0, MARK], frameTurn.value))
const x = ([across]: GatePoint) => across * RADIUS
const y = ([, up]: GatePoint) => -up * RADIUS

function placeAt({ clientX, clientY }: PointerEvent): GatePoint {
  const { left, top, width } = picture.value?.getBoundingClientRect() ?? new DOMRect(0, 0, 1, 1)
  const metre = (width / (2 * HALF)) * RADIUS
  return [(clientX - left - width / 2) / metre, -(clientY - top - width / 2) / metre]
}

function begin(event: PointerEvent, attribute: HandAttribute | undefined, wanted: Drag['wanted']) {
  if (event.button !== 0 || !attribute) return
  picture.value?.setPointerCapture(event.pointerId)
  drag.value = { attribute, wanted, began: attribute.first, by: 0 }
}

type Corners = readonly [HandAttribute | undefined, HandAttribute | undefined]
/** An end of an edge leans it, or moves the corner there. */
function beginAtEnd(
  event: PointerEvent,
  blade: Blade,
  which: 0 | 1,
  angle: HandAttribute | undefined,
  corners: Corners,
) {
  if (angle) return begin(event, angle, (place) => angleAt(blade, which, place, frameTurn.value))
  const other = shown(corners[which === 0 ? 1 : 0])
  begin(event, corners[which], (place) => cornerAt(blade.side, which, other, place, frameTurn.value))
}

function move(event: PointerEvent) {
  if (!drag.value) return
  const { attribute, wanted, began } = drag.value
  const by = wanted(placeAt(event)) - began
  drag.value = { ...drag.value, by }
  stage.tryOut(selection.fixtures, 'changeValues', {
    fixtures: [...selection.fixtures],
    attribute: attribute.attribute,
    change: { how: 'by', number: by },
  })
}

async function end() {
  const ended = drag.value
  if (ended && ended.by !== 0) await stage.commitTrial()
  if (drag.value === ended) drag.value = null
}

function cancel() {
  if (!drag.value) return
  drag.value = null
  stage.endTrial()
}
</script>

<template>
  <div class="flex items-center justify-center gap-3">
    <svg
      ref="picture"
      :viewBox="`${-HALF} ${-HALF} ${2 * HALF} ${2 * HALF}`"
      class="w-[148px] shrink-0 touch-none select-none"
      role="img"
      aria-label="The pool as the shutters cut it"
      @pointermove="move"
      @pointerup="end"
      @pointercancel="cancel"
    >
      <circle :r="RADIUS" class="fill-night stroke-rule-2" />
      <path :d="opening" class="fill-brass/70" />
      <template v-for="{ blade, depth, angle, corners, handles } in blades" :key="blade.side">
        <line
          :x1="x(handles.ends[0])"
          :y1="y(handles.ends[0])"
          :x2="x(handles.ends[1])"
          :y2="y(handles.ends[1])"
          :class="blade.depth > 0 ? 'stroke-sail' : 'stroke-haze'"
          stroke-width="1.500"
        />
        <template v-for="which in [0, 1] as const" :key="which">
          <circle
            v-if="angle ?? corners[which]"
            class="cursor-grab fill-deck stroke-mist hover:stroke-sail"
            r="4"
            :cx="x(handles.ends[which])"
            :cy="y(handles.ends[which])"
            @pointerdown="beginAtEnd($event, blade, which, angle, corners)"
          />
        </template>
        <circle
          v-if="depth"
          class="cursor-grab fill-sail stroke-night"
          r="5"
          :cx="x(handles.middle)"
          :cy="y(handles.middle)"
          @pointerdown="begin($event, depth, (place) => depthAt(blade.side, place, frameTurn))"
        />
      </template>
      <g v-if="frame">
        <circle r="66" class="fill-none stroke-rule" stroke-dasharray="1 4" />
        <circle
          class="cursor-grab fill-kelp stroke-night"
          r="5"
          :cx="x(mark)"
          :cy="y(mark)"
          @pointerdown="begin($event, frame, frameTurnAt)"
        />
      </g>
    </svg>
    <p class="min-w-0 text-xs text-haze">{{ hint }}</p>
  </div>
</template>
