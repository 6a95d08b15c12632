<script setup lang="ts">
/**
 * A field to steer a light by dragging: it follows while one drags, as the pointer or finger goes, by a
 * tenth of a nudge for each pixel; with Shift by a tenth of that.
 */
import { useTemplateRef } from 'vue'
import { STEERING, useTrueUp } from '../../stores/trueUp'

const room = useTrueUp()
const pad = useTemplateRef<HTMLElement>('pad')
const PART_A_PIXEL = 0.1
const FINE = 0.1
let last: { readonly x: number; readonly y: number } | null = null
/** Metres that are gone and not sent yet. */
let left = { x: 0, y: 0 }
let isSending = false

function begin(event: PointerEvent) {
  if (event.button !== 0) return
  last = { x: event.clientX, y: event.clientY }
  pad.value?.setPointerCapture(event.pointerId)
}
function move(event: PointerEvent) {
  if (!last) return
  const metres = (STEERING[room.nudge] ?? 0) * PART_A_PIXEL * (event.shiftKey ? FINE : 1)
  left = { x: left.x + (event.clientX - last.x) * metres, y: left.y - (event.clientY - last.y) * metres }
  last = { x: event.clientX, y: event.clientY }
  void send()
}
const end = () => (last = null)

/** One after the other: what was dragged meanwhile goes with the next. */
async function send() {
  if (isSending) return
  isSending = true
  while (left.x !== 0 || left.y !== 0) {
    const { x, y } = left
    left = { x: 0, y: 0 }
    await room.nudgeBy(x, y)
  }
  isSending = false
}
</script>

<template>
  <div
    ref="pad"
    class="grid h-28 cursor-move touch-none place-items-center rounded-md border border-rule-2 bg-night text-xs text-haze select-none"
    role="group"
    aria-label="Steering pad"
    @pointerdown="begin"
    @pointermove="move"
    @pointerup="end"
    @pointercancel="end"
  >
    <span class="row-start-1 self-start pt-1">upstage</span>
    <span class="row-start-2 text-center">drag the light here</span>
    <span class="row-start-3 self-end pb-1">downstage</span>
  </div>
</template>
