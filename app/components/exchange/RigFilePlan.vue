<script setup lang="ts">
/** A rig file in plan over the stage it would come to: its fixtures, hangs, focus points and set. */
import { computed, useTemplateRef } from 'vue'
import { rigOf } from '#core/show/rig'
import { showRecordOf, type Show } from '#core/show/show'
import { mountingPoint } from '#core/geometry/frame'
import { turnLevel } from '#core/geometry/rotation'
import { add, vec3, type Vec3 } from '#core/geometry/vector'
import type { RigReading } from '#core/exchange/mvr/rigReading'
import type { Placement } from '#core/exchange/mvr/placement'
import { underlayPlaced } from '#core/exchange/drawing/planUnderlay'
import type { LinesFile } from '#core/exchange/drawing/linesFile'
import { underlayAxes } from '#core/show/underlays'
import type { FilePoint } from '../../composables/exchange/usePlacing'

const props = defineProps<{
  show: Show
  rig: RigReading
  /** What can be pressed, as it is placed. */
  points: readonly FilePoint[]
  /** Keys of the places that are pressed. */
  pressed: readonly string[]
  placement: Placement
  /** Lines that will lie under the plan, or a picture that an image shows. */
  lines: LinesFile | null
  shown: string | null
}>()
const emit = defineEmits<{ press: [key: string]; pressAt: [stage: Vec3, reach: number] }>()
const sheet = useTemplateRef<SVGSVGElement>('sheet')

const venue = computed(() => props.show.all.venue.get(showRecordOf(props.show).venue))
const outline = computed(() => (venue.value?.outline ?? []).map(({ x, y }) => [x, -y] as const))
const own = computed(() =>
  [...rigOf(props.show).values()]
    .filter(({ bar }) => bar === null)
    .map(({ hangPlace, place }) => mountingPoint(hangPlace, place)),
)
const hangs = computed(() =>
  props.rig.hangs.flatMap(({ id, ends }) => (ends ? [{ id, from: ends[0], to: ends[1] }] : [])),
)
const pieces = computed(() =>
  props.rig.pieces.flatMap(({ id, prisms, position, yaw }) =>
    prisms.map(({ outline: ring }, i) => ({
      key: `${id} ${i}`,
      points: ring
        .map(({ x, y }) => add(position, turnLevel(vec3(x, y, 0), yaw)))
        .map(at)
        .join(' '),
    })),
  ),
)
const at = ({ x, y }: Vec3) => `${x.toFixed(3)},${(-y).toFixed(3)}`

/** Everything in view, with a little around it; metres, upstage upwards. */
const box = computed(() => {
  const places = [...own.value, ...props.points.map((point) => point.at)]
  const points = [...outline.value, ...places.map(({ x, y }) => [x, -y] as const)]
  const xs = points.map(([x]) => x)
  const ys = points.map(([, y]) => y)
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  const around = 0.06 * Math.max(right - left, bottom - top, 4)
  return { x: left - around, y: top - around, width: right - left + 2 * around, height: bottom - top + 2 * around }
})
/** A pixel of a plan some 400 wide, metres. */
const dot = computed(() => Math.max(box.value.width, box.value.height * 1.3) / 400)
/** From an underlay's own units, upwards from its lower left corner, to this drawing's. */
const laid = computed(() => {
  const { underlay } = props.rig
  if (!underlay) return null
  const place = underlayPlaced(underlay, props.placement)
  const { right, up } = underlayAxes(place)
  const matrix = [right.x, -right.y, up.x, -up.y, place.x, -place.y]
  return { matrix: `matrix(${matrix.join(' ')})`, width: underlay.width, height: underlay.height }
})
/** Pixels within which a press catches on the end of a line. */
const CATCHES = 7

/** Between what is known by name any place of a drawing can be pressed. */
function pressBetween({ clientX, clientY }: MouseEvent) {
  const toScreen = sheet.value?.getScreenCTM()
  if (!props.rig.underlay || !toScreen) return
  const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(toScreen.inverse())
  emit('pressAt', vec3(x, -y, 0), CATCHES / toScreen.a)
}
const isPressed = (key: string) => props.pressed.includes(key)
const marks = computed(() =>
  props.pressed.flatMap((key, i) => {
    const point = props.points.find((one) => one.key === key)
    return point ? [{ nth: i + 1, ...point }] : []
  }),
)
/** Corners of a drawing are seen where they can be pressed. */
const corners = computed(() => (props.rig.drawing ? props.points : []))
</script>

<template>
  <svg
    ref="sheet"
    class="size-full bg-night"
    :class="rig.underlay ? 'cursor-crosshair' : ''"
    role="group"
    aria-label="Plan of the rig file"
    :viewBox="`${box.x} ${box.y} ${box.width} ${box.height}`"
    @click="pressBetween"
  >
    <g v-if="laid" class="underlay" :transform="laid.matrix">
      <image
        v-if="shown"
        :href="shown"
        class="opacity-70"
        preserveAspectRatio="none"
        :width="laid.width"
        :height="laid.height"
        :transform="`translate(0 ${laid.height}) scale(1 -1)`"
      />
      <path
        v-for="layer in lines?.layers"
        :key="layer.name"
        :d="layer.path"
        class="fill-none stroke-mist"
        vector-effect="non-scaling-stroke"
        stroke-width="1"
      />
    </g>
    <polygon :points="outline.map((p) => p.join(',')).join(' ')" class="fill-none stroke-rule-2" :stroke-width="dot" />
    <path
      :d="`M${box.x} 0H${box.x + box.width}M0 ${box.y}V${box.y + box.height}`"
      class="stroke-rule"
      :stroke-width="dot"
    />
    <circle
      v-for="(point, i) in own"
      :key="i"
      :cx="point.x"
      :cy="-point.y"
      :r="4 * dot"
      class="fill-none stroke-mist"
      :stroke-width="dot"
    />
    <polygon
      v-for="piece in pieces"
      :key="piece.key"
      :points="piece.points"
      class="fill-plank stroke-brass/60"
      :stroke-width="dot"
    />
    <path
      v-for="hang in hangs"
      :key="hang.id"
      :d="`M${at(hang.from)}L${at(hang.to)}`"
      class="stroke-hang"
      :stroke-width="2.5 * dot"
      stroke-linecap="round"
    />
    <path
      v-for="target in rig.targets"
      :key="target.id"
      :d="`M${target.position.x - 4 * dot} ${-target.position.y}h${8 * dot}M${target.position.x} ${-target.position.y - 4 * dot}v${8 * dot}`"
      :class="isPressed(target.id) ? 'stroke-coral' : 'stroke-shoal'"
      :stroke-width="1.5 * dot"
    />
    <circle
      v-for="fixture in rig.fixtures"
      :key="fixture.id"
      :cx="fixture.position.x"
      :cy="-fixture.position.y"
      :r="3 * dot"
      :class="isPressed(fixture.id) ? 'fill-coral' : 'fill-sail'"
    />
    <circle
      v-for="{ key, at: corner } in corners"
      :key="`corner ${key}`"
      :cx="corner.x"
      :cy="-corner.y"
      :r="(isPressed(key) ? 3 : 1.4) * dot"
      :class="isPressed(key) ? 'fill-coral' : 'fill-brass'"
    />
    <circle
      v-for="{ key, at: place } in points"
      :key="`press ${key}`"
      :cx="place.x"
      :cy="-place.y"
      :r="(rig.drawing ? 5 : 8) * dot"
      class="cursor-pointer fill-transparent"
      @click.stop="emit('press', key)"
    />
    <text
      v-for="mark in marks"
      :key="`mark ${mark.key}`"
      :x="mark.at.x + 6 * dot"
      :y="-mark.at.y - 6 * dot"
      class="fill-coral font-semibold"
      :font-size="13 * dot"
    >
      {{ mark.nth }}
    </text>
  </svg>
</template>
