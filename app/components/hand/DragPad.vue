<script setup lang="ts">
/** A field in which a place is chosen: by pressing and dragging, or with the arrow keys. Places are parts of it, from its lower left. */
import { useTemplateRef } from 'vue'

export interface PadPlace {
  readonly across: number
  readonly up: number
}
const props = defineProps<{ label: string; place: PadPlace; inWords: string }>()
const emit = defineEmits<{ drag: [place: PadPlace]; end: []; cancel: []; step: [place: PadPlace] }>()
const pad = useTemplateRef<HTMLElement>('pad')
/** A step of an arrow key, and with Shift. */
const STEP = { usual: 0.02, fine: 0.002 }
let isDragging = false

const within = (part: number) => Math.min(1, Math.max(0, part))

function placeAt(event: PointerEvent): PadPlace {
  const { left, bottom, width, height } = pad.value?.getBoundingClientRect() ?? new DOMRect(0, 0, 1, 1)
  return { across: within((event.clientX - left) / width), up: within((bottom - event.clientY) / height) }
}

function begin(event: PointerEvent) {
  if (event.button !== 0) return
  isDragging = true
  pad.value?.setPointerCapture(event.pointerId)
  emit('drag', placeAt(event))
}
const move = (event: PointerEvent) => isDragging && emit('drag', placeAt(event))

function end() {
  if (isDragging) emit('end')
  isDragging = false
}

function cancel() {
  isDragging = false
  emit('cancel')
}

/** Escape puts a drag back; without one it is for whoever is around. */
function giveUp(event: KeyboardEvent) {
  if (!isDragging) return
  event.stopPropagation()
  cancel()
}

const WAYS: Readonly<Record<string, readonly [across: number, up: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
}
function onKey(event: KeyboardEvent) {
  const way = WAYS[event.key]
  if (!way) return
  event.preventDefault()
  event.stopPropagation()
  const step = event.shiftKey ? STEP.fine : STEP.usual
  emit('step', { across: within(props.place.across + way[0] * step), up: within(props.place.up + way[1] * step) })
}
</script>

<template>
  <div
    ref="pad"
    class="relative cursor-crosshair touch-none overflow-hidden rounded-md border border-rule-2 bg-night select-none"
    role="slider"
    tabindex="0"
    :aria-label="label"
    :aria-valuenow="Math.round(place.across * 100)"
    :aria-valuetext="inWords"
    @pointerdown="begin"
    @pointermove="move"
    @pointerup="end"
    @pointercancel="cancel"
    @keydown="onKey"
    @keydown.esc="giveUp"
  >
    <slot />
    <span
      class="pointer-events-none absolute h-3 w-3 -translate-x-1/2 translate-y-1/2 rounded-full border-2 border-white shadow-[0_0_0_1.5px_black]"
      :style="{ left: `${place.across * 100}%`, bottom: `${place.up * 100}%` }"
      aria-hidden="true"
    />
  </div>
</template>
