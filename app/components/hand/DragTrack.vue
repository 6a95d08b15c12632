<script setup lang="ts">
/**
 * A track to drag along: tells by how much, as a part of its whole width. With Shift, or drawn far
 * off it, it goes a tenth of the way.
 */
import { useTemplateRef } from 'vue'

const emit = defineEmits<{ begin: []; drag: [part: number]; end: []; cancel: [] }>()
const track = useTemplateRef<HTMLElement>('track')
const FINE = 0.1
/** A pointer drawn this far off the track, pixels, drags finely, as with Shift. */
const OFF = 48
let from: { x: number; y: number; part: number } | null = null

function begin(event: PointerEvent) {
  if (event.button !== 0) return
  from = { x: event.clientX, y: event.clientY, part: 0 }
  track.value?.setPointerCapture(event.pointerId)
  emit('begin')
}

function move(event: PointerEvent) {
  const width = track.value?.clientWidth ?? 0
  if (!from || width === 0) return
  const isFine = event.shiftKey || Math.abs(event.clientY - from.y) > OFF
  from = { ...from, x: event.clientX, part: from.part + ((event.clientX - from.x) / width) * (isFine ? FINE : 1) }
  emit('drag', from.part)
}

function end() {
  if (from) emit('end')
  from = null
}

function cancel() {
  from = null
  emit('cancel')
}

/** Escape puts a drag back; without one it is for whoever is around. */
function giveUp(event: KeyboardEvent) {
  if (!from) return
  event.stopPropagation()
  cancel()
}
</script>

<template>
  <div
    ref="track"
    class="relative min-w-0 flex-1 cursor-ew-resize touch-none rounded border bg-night select-none"
    role="slider"
    tabindex="0"
    @pointerdown="begin"
    @pointermove="move"
    @pointerup="end"
    @pointercancel="cancel"
    @keydown.esc="giveUp"
  >
    <slot />
  </div>
</template>
