<script setup lang="ts">
/** Targets in plan: points, lines and rings, with their names kept clear of each other. */
import { computed } from 'vue'
import { pointOn, type PlacedTarget } from '#core/show/targets'
import type { TargetId } from '#core/show/ids'
import type { DrawnHang } from '#core/drawing/drawnHangs'
import { usePlan } from '../../composables/stage/planKey'
import { useNames } from '../../composables/stage/useNames'
import type { Tool } from '../../stores/stage'
import { pathOf } from '#core/drawing/svgPath'

const props = defineProps<{
  targets: ReadonlyMap<string, PlacedTarget>
  /** Where they stood before what is proposed, or the same. */
  before: ReadonlyMap<string, PlacedTarget>
  lit: ReadonlySet<string>
  chosen: string | null
  tool: Tool
  /** Names keep clear of them, of what hangs there and of their names. */
  hangs: readonly DrawnHang[]
}>()
const emit = defineEmits<{ grab: [event: PointerEvent, target: TargetId] }>()
const { toScreen, scale } = usePlan()
const { targetNames, arm } = useNames(() => props)
/** Drawn smaller than this, pixels a metre, only the names that matter are written. */
const TOO_SMALL = 19
/** Corners a ring is drawn with. */
const RING = 48

const drawn = computed(() =>
  [...props.targets.values()].map((placed) => {
    const { name } = placed.target
    const isNeeded = props.lit.has(placed.id) || props.chosen === placed.id
    const names = targetNames.value.get(placed.id)
    return {
      id: placed.id,
      name,
      at: toScreen(pointOn(placed, null)),
      label: names?.name,
      /** Whether the name is written where the pointer is elsewhere. */
      isNamed: isNeeded || (scale.value >= TOO_SMALL && names?.name.isFree === true),
      path: shapeOf(placed),
      stations: names?.stations ?? [],
    }
  }),
)

/** A line or ring as it lies on the stage; nothing for a point. */
function shapeOf(placed: PlacedTarget): string | null {
  if (placed.target.form.kind === 'point') return null
  if (placed.target.form.kind === 'line')
    return pathOf(
      [0, 1].map((at) => toScreen(pointOn(placed, at))),
      false,
    )
  return pathOf(Array.from({ length: RING }, (_, i) => toScreen(pointOn(placed, i / RING))))
}

/** Where moved targets stood before. */
const moved = computed(() => {
  if (props.before === props.targets) return []
  return [...props.targets.values()].flatMap((placed) => {
    const was = props.before.get(placed.id)
    if (!was) return []
    const from = toScreen(pointOn(was, null))
    const to = toScreen(pointOn(placed, null))
    return Math.hypot(from.x - to.x, from.y - to.y) < 1 ? [] : [{ id: placed.id, from, to }]
  })
})
</script>

<template>
  <g>
    <g
      v-for="step in moved"
      :key="`m${step.id}`"
      class="stroke-coral"
      fill="none"
      stroke-dasharray="4 3"
      pointer-events="none"
    >
      <path :d="`M${step.from.x} ${step.from.y - 6}l6 6l-6 6l-6 -6Z`" />
      <path :d="`M${step.from.x} ${step.from.y}L${step.to.x} ${step.to.y}`" />
    </g>
    <g
      v-for="target in drawn"
      :key="target.id"
      class="group"
      :class="tool === 'move' ? 'cursor-move' : tool === 'aim' ? 'cursor-crosshair' : 'cursor-pointer'"
      role="img"
      :aria-label="`Target ${target.name}${chosen === target.id ? ', chosen' : ''}`"
      :data-target="target.name"
      @pointerdown="emit('grab', $event, target.id)"
    >
      <path
        v-if="target.path"
        :d="target.path"
        class="fill-none"
        :class="chosen === target.id ? 'stroke-coral' : 'stroke-brass/55'"
        stroke-dasharray="6 4"
        pointer-events="none"
      />
      <g v-for="station in target.stations" :key="station.number" pointer-events="none">
        <circle :cx="station.at.x" :cy="station.at.y" :r="arm / 3" class="fill-brass" />
        <text
          v-if="station.place.isFree && (chosen === target.id || lit.has(target.id))"
          :x="station.place.at.x"
          :y="station.place.at.y"
          class="halo fill-brass font-mono text-[10px]"
          >{{ station.number }}</text
        >
      </g>
      <circle :cx="target.at.x" :cy="target.at.y" r="9" fill="transparent" />
      <path
        :d="`M${target.at.x} ${target.at.y - arm}l${arm} ${arm}l${-arm} ${arm}l${-arm} ${-arm}Z`"
        :class="[
          chosen === target.id ? 'stroke-coral' : 'stroke-brass',
          lit.has(target.id) ? 'fill-brass' : 'fill-night',
        ]"
        stroke-width="1.4"
      />
      <title>{{ target.name }}</title>
      <text
        v-if="target.label"
        :x="target.label.at.x"
        :y="target.label.at.y"
        class="halo pointer-events-none text-[11px] font-semibold"
        :class="[lit.has(target.id) ? 'fill-sail' : 'fill-brass', { 'hidden group-hover:inline': !target.isNamed }]"
      >
        {{ target.name }}
      </text>
    </g>
  </g>
</template>
