<script setup lang="ts">
/** A rig file in plan over the stage it would come to: its fixtures, hangs, focus points and set. */
import { computed } from 'vue'
import { rigOf } from '#core/show/rig'
import { showRecordOf, type Show } from '#core/show/show'
import { mountingPoint } from '#core/geometry/frame'
import { turnLevel } from '#core/geometry/rotation'
import { add, vec3, type Vec3 } from '#core/geometry/vector'
import type { RigReading } from '#core/exchange/mvr/rigReading'
import type { FilePoint } from '../../composables/exchange/useRigFile'

const props = defineProps<{
  show: Show
  rig: RigReading
  /** What can be pressed, as it is placed. */
  points: readonly FilePoint[]
  /** Keys of the places that are pressed. */
  pressed: readonly string[]
}>()
const emit = defineEmits<{ press: [key: string] }>()

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
  const points = [...outline.value, ...props.points.map((point) => [point.at.x, -point.at.y] as const)]
  const xs = points.map(([x]) => x)
  const ys = points.map(([, y]) => y)
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  const around = 0.06 * Math.max(right - left, bottom - top, 4)
  return { x: left - around, y: top - around, width: right - left + 2 * around, height: bottom - top + 2 * around }
})
/** A pixel of a plan some 400 wide, metres. */
const dot = computed(() => Math.max(box.value.width, box.value.height * 1.3) / 400)
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
    class="size-full bg-night"
    role="group"
    aria-label="Plan of the rig file"
    :viewBox="`${box.x} ${box.y} ${box.width} ${box.height}`"
  >
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
      @click="emit('press', key)"
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
