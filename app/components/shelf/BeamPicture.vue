<script setup lang="ts">
/** A beam by itself: from the side as wide as its angle, and its pool from the front. */
import { computed, useId } from 'vue'
import type { BeamLook } from '#core/palettes/beamLook'

const props = defineProps<{ look: BeamLook }>()
const id = useId()

/** In units of the drawing: where the side view begins, and the radius of the pool. */
const APEX = 8
const RADIUS = 17

const hasPool = computed(() => {
  const { intensity, edge, iris, shutters } = props.look
  return [intensity, edge, iris].some((level) => level !== null) || Object.values(shutters).some((level) => level > 0)
})
const isBeside = computed(() => props.look.zoomDegrees !== null)
const slope = computed(() => Math.tan(((props.look.zoomDegrees ?? 0) / 360) * Math.PI))
/** Wide beams end where they would leave the drawing. */
const end = computed(() => Math.min(hasPool.value ? 52 : 88, APEX + RADIUS / slope.value))
/** Half as wide as the beam is where the side view ends. */
const half = computed(() => (end.value - APEX) * slope.value)
const cone = computed(() => `M${APEX} 22L${end.value} ${22 - half.value}V${22 + half.value}Z`)

const middle = computed(() => (isBeside.value ? 74 : 48))
const radius = computed(() => RADIUS * (props.look.iris ?? 1))
/** A soft edge fades over most of the pool, a hard one not at all. */
const fadeFrom = computed(() => 1 - 0.75 * (props.look.edge ?? 0))
const rimOpacity = computed(() => ((props.look.edge ?? 0) > 0 ? 0 : 1))
const brightness = computed(() => props.look.intensity ?? 1)
/** What the blades leave open. */
const opening = computed(() => {
  const { top, right, bottom, left } = props.look.shutters
  const side = RADIUS * 2
  return {
    x: middle.value - RADIUS + side * left,
    y: 22 - RADIUS + side * top,
    width: side * Math.max(0, 1 - left - right),
    height: side * Math.max(0, 1 - top - bottom),
  }
})
</script>

<template>
  <svg viewBox="0 0 96 44" class="text-brass" aria-hidden="true">
    <defs>
      <linearGradient :id="`${id}-cone`">
        <stop offset="0" stop-color="currentColor" stop-opacity="0.75" />
        <stop offset="1" stop-color="currentColor" stop-opacity="0.12" />
      </linearGradient>
      <radialGradient :id="`${id}-pool`">
        <stop :offset="fadeFrom" stop-color="currentColor" />
        <stop offset="1" stop-color="currentColor" :stop-opacity="rimOpacity" />
      </radialGradient>
      <clipPath :id="`${id}-blades`"><rect v-bind="opening" /></clipPath>
    </defs>
    <g v-if="isBeside">
      <path :d="cone" :fill="`url(#${id}-cone)`" stroke="currentColor" stroke-width="0.6" stroke-linejoin="round" />
      <path :d="`M${APEX} 22H${end}`" stroke="currentColor" stroke-width="0.5" stroke-dasharray="2 2" opacity="0.5" />
      <rect :x="APEX - 5" y="18.500" width="6" height="7" rx="1.500" class="fill-plank-2 stroke-mist" />
    </g>
    <g v-if="hasPool">
      <circle
        :cx="middle"
        cy="22"
        :r="radius"
        :fill="`url(#${id}-pool)`"
        :opacity="brightness"
        :clip-path="`url(#${id}-blades)`"
      />
      <circle :cx="middle" cy="22" :r="RADIUS" fill="none" class="stroke-rule-2" stroke-width="0.8" />
    </g>
  </svg>
</template>
