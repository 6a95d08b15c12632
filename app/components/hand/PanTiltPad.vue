<script setup lang="ts">
/**
 * Pan across and tilt upwards, with the stops and, shaded, where the light of the first selected
 * fixture meets the floor. Dragging turns every head by the same; with Shift by a tenth.
 */
import { computed, ref } from 'vue'
import { floorBand } from '#core/hand/floorBand'
import { surfacesOf } from '#core/venue/surfaces'
import { computedStable } from '../../composables/hand/computedStable'
import { useStage } from '../../stores/stage'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'

const stage = useStage()
const store = useShow()
const selection = useSelection()
const fixtures = computed(() => {
  const { seen } = stage
  return selection.fixtures.flatMap((id) => seen(id) ?? [])
})

const WIDTH = 290
const HEIGHT = 116
const EDGE = 7
const FINE = 0.1
/** Radius of a head's dot. */
const DOT = 3.5
const pad = ref<SVGSVGElement | null>(null)
let drag: { x: number; y: number; pan: number; tilt: number } | null = null

interface PadRange {
  readonly pan: { readonly min: number; readonly max: number }
  readonly tilt: { readonly min: number; readonly max: number }
}
/** The widest range of the selected heads; the same one while a drag only turns them. */
const range = computedStable<PadRange>(() => {
  const types = [...new Set(fixtures.value.map(({ rigged }) => rigged.type))]
  const of = (axis: 'pan' | 'tilt') => ({
    min: Math.min(...types.map((type) => type[axis].min)),
    max: Math.max(...types.map((type) => type[axis].max)),
  })
  return { pan: of('pan'), tilt: of('tilt') }
})
const across = (pan: number) =>
  EDGE + ((pan - range.value.pan.min) / (range.value.pan.max - range.value.pan.min)) * (WIDTH - 2 * EDGE)
const up = (tilt: number) =>
  HEIGHT - EDGE - ((tilt - range.value.tilt.min) / (range.value.tilt.max - range.value.tilt.min)) * (HEIGHT - 2 * EDGE)

const mount = computed(() => fixtures.value[0]?.rigged.mount)
const floor = computed(() => {
  const show = store.view
  if (!mount.value || !show) return ''
  return floorBand(mount.value, surfacesOf(show).levels)
    .map(({ pan, from, to }) => {
      const [left, right] = [across(pan - 5), across(pan + 5)]
      return `M${left} ${up(from)}H${right}V${up(to)}H${left}Z`
    })
    .join('')
})
/** All heads as points of one path, drawn with round ends: hundreds of elements moved in every frame would be slow. */
const heads = computed(() =>
  fixtures.value
    .map(({ position: { pose } }) => `M${across(pose.pan).toFixed(1)} ${up(pose.tilt).toFixed(1)}h0`)
    .join(''),
)
const home = computed(() => `M${across(0)} ${EDGE}V${HEIGHT - EDGE}M${EDGE} ${up(0)}H${WIDTH - EDGE}`)
const marks = computed(() => {
  const { pan } = range.value
  const every = 90
  const first = Math.ceil(pan.min / every) * every
  return Array.from({ length: Math.floor((pan.max - first) / every) + 1 }, (_, i) => first + i * every)
})

function begin(event: PointerEvent) {
  if (event.button !== 0) return
  drag = { x: event.clientX, y: event.clientY, pan: 0, tilt: 0 }
  pad.value?.setPointerCapture(event.pointerId)
}

function move(event: PointerEvent) {
  const bounds = pad.value?.getBoundingClientRect()
  if (!drag || !bounds) return
  const fine = event.shiftKey ? FINE : 1
  const degreesAcross = (range.value.pan.max - range.value.pan.min) / bounds.width
  const degreesUp = (range.value.tilt.max - range.value.tilt.min) / bounds.height
  drag = {
    x: event.clientX,
    y: event.clientY,
    pan: drag.pan + (event.clientX - drag.x) * degreesAcross * fine,
    tilt: drag.tilt - (event.clientY - drag.y) * degreesUp * fine,
  }
  const by = (degrees: number, isLocked: boolean) => (isLocked ? null : ({ how: 'by', degrees } as const))
  if (stage.locked === 'both') return
  stage.tryOut(selection.fixtures, 'turnHeads', {
    fixtures: [...selection.fixtures],
    pan: by(drag.pan, stage.locked === 'pan'),
    tilt: by(drag.tilt, stage.locked === 'tilt'),
  })
}

function end() {
  if (drag && (drag.pan !== 0 || drag.tilt !== 0)) void stage.commitTrial()
  drag = null
}

function cancel() {
  drag = null
  stage.endTrial()
}
</script>

<template>
  <svg
    ref="pad"
    :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
    class="block w-full cursor-move touch-none rounded-md border border-rule-2 bg-night select-none"
    role="group"
    aria-label="Pan and tilt pad"
    @pointerdown="begin"
    @pointermove="move"
    @pointerup="end"
    @pointercancel="cancel"
  >
    <path :d="floor" class="fill-brass/15" />
    <path
      :d="`M${across(range.pan.min)} ${up(range.tilt.max)}H${across(range.pan.max)}V${up(range.tilt.min)}H${across(range.pan.min)}Z`"
      class="fill-none stroke-coral/60"
      stroke-dasharray="3 3"
    />
    <path :d="home" class="stroke-rule-2" />
    <path v-for="mark in marks" :key="mark" :d="`M${across(mark)} ${up(0) - 3}v6`" class="stroke-mist" />
    <path :d="heads" class="stroke-night" :stroke-width="2 * DOT + 1" stroke-linecap="round" />
    <path :d="heads" class="stroke-coral" :stroke-width="2 * DOT - 1" stroke-linecap="round" />
    <text :x="across(range.pan.min) + 4" :y="up(0) - 4" class="halo fill-haze font-mono text-[9px]">
      {{ range.pan.min }}°
    </text>
    <text :x="across(range.pan.max) - 4" :y="up(0) - 4" text-anchor="end" class="halo fill-haze font-mono text-[9px]">
      {{ range.pan.max }}°
    </text>
    <text :x="across(0) + 4" :y="up(range.tilt.max) + 10" class="halo fill-haze font-mono text-[9px]">
      {{ range.tilt.max }}°
    </text>
    <text :x="across(0) + 4" :y="up(range.tilt.min) - 4" class="halo fill-haze font-mono text-[9px]">
      {{ range.tilt.min }}°
    </text>
  </svg>
</template>
