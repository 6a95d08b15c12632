<script setup lang="ts">
/**
 * The edge between a panel and what it stands beside: dragged, or moved by arrow keys, it makes the
 * panel wider or higher; a double click takes that back. It lies on what is beside the panel, or on
 * top of one that grows upwards.
 */
import { computed } from 'vue'
import { PANELS, usePanelSizes, type PanelId } from '../../stores/panelSizes'

const props = defineProps<{
  panel: PanelId
  /** The way it is drawn to make the panel larger. */
  grows: 'left' | 'right' | 'up'
}>()
const panels = usePanelSizes()
const size = computed(() => panels.sizes[props.panel])
const limits = computed(() => panels.limitsOf(props.panel))
/** Pixels of an arrow key, and with Shift. */
const STEP = 16
const FINE = 2
let from: { readonly at: number; readonly size: number } | null = null

/** Along the axis the edge moves on, growing as the panel does. */
const placeOf = ({ clientX, clientY }: PointerEvent) => ({ left: -clientX, right: clientX, up: -clientY })[props.grows]

function begin(event: PointerEvent) {
  if (event.button !== 0) return
  from = { at: placeOf(event), size: size.value }
  if (event.currentTarget instanceof HTMLElement) event.currentTarget.setPointerCapture(event.pointerId)
}

function move(event: PointerEvent) {
  if (from) panels.draw(props.panel, from.size + placeOf(event) - from.at)
}

const GROWS = { left: 'ArrowLeft', right: 'ArrowRight', up: 'ArrowUp' } as const
const SHRINKS = { left: 'ArrowRight', right: 'ArrowLeft', up: 'ArrowDown' } as const

function onKey(event: KeyboardEvent) {
  const way = event.key === GROWS[props.grows] ? 1 : event.key === SHRINKS[props.grows] ? -1 : 0
  if (way === 0) return
  event.preventDefault()
  event.stopPropagation()
  panels.draw(props.panel, size.value + way * (event.shiftKey ? FINE : STEP))
}
</script>

<template>
  <div
    class="absolute z-20 touch-none transition-colors select-none hover:bg-rule-2 focus-visible:bg-coral/60 active:bg-coral/60"
    :class="{
      'inset-y-0 -right-[3px] w-[6px] cursor-ew-resize': grows === 'left',
      'inset-y-0 -left-[3px] w-[6px] cursor-ew-resize': grows === 'right',
      'inset-x-0 -top-[3px] h-[6px] cursor-ns-resize': grows === 'up',
    }"
    role="separator"
    tabindex="0"
    :aria-label="PANELS[panel].name"
    :aria-orientation="grows === 'up' ? 'horizontal' : 'vertical'"
    :aria-valuenow="size"
    :aria-valuemin="limits.min"
    :aria-valuemax="limits.max"
    title="Drag to make the panel larger or smaller; double click for its first size"
    @pointerdown="begin"
    @pointermove="move"
    @pointerup="from = null"
    @pointercancel="from = null"
    @keydown="onKey"
    @dblclick="panels.reset(panel)"
  />
</template>
