<script setup lang="ts">
/** A beam by itself: from the side as wide as its angle, and its pool from the front, as it is shaped. */
import { computed, useId } from 'vue'
import { isTurning, openingOf, PLAIN_LIGHT, poolOffsets, widestOf } from '#core/light/gate'
import { litRings, throughRings } from '#core/light/shapedPool'
import type { BeamLook } from '#core/palettes/beamLook'
import { gatePath } from '#core/drawing/gatePath'

const props = defineProps<{ look: BeamLook }>()
const id = useId()

/** In units of the drawing: where the side view begins, and the radius of the pool. */
const APEX = 8
const RADIUS = 17

const shape = computed(() => props.look.shape ?? PLAIN_LIGHT)
const hasPool = computed(() => props.look.intensity !== null || props.look.shape !== null)
const isBeside = computed(() => props.look.zoomDegrees !== null)
const slope = computed(() => Math.tan(((props.look.zoomDegrees ?? 0) / 360) * Math.PI))
/** Wide beams end where they would leave the drawing. */
const end = computed(() => Math.min(hasPool.value ? 52 : 88, APEX + RADIUS / slope.value))
/** Half as wide as the beam is where the side view ends. */
const half = computed(() => (end.value - APEX) * slope.value)
const cone = computed(() => `M${APEX} 22L${end.value} ${22 - half.value}V${22 + half.value}Z`)

const middle = computed(() => (isBeside.value ? 74 : 48))
/** The rim of one pool: smaller where a prism throws several. */
const rim = computed(() => RADIUS / (shape.value.prism ? widestOf(shape.value) : 1))
/** A soft edge fades over most of the pool, a hard one not at all. */
const fadeFrom = computed(() => 1 - 0.75 * shape.value.softness)
const rimOpacity = computed(() => (shape.value.softness > 0 ? 0 : 1))
const brightness = computed(() => props.look.intensity ?? 1)
const lit = computed(() => gatePath(litRings(shape.value, openingOf(shape.value)), rim.value))
/** A second gobo, which the light of the first is seen through. */
const through = computed(() => gatePath(throughRings(shape.value), rim.value))
const pools = computed(() => poolOffsets(shape.value).map(([x, y]) => ({ x: x * rim.value, y: -y * rim.value })))
</script>

<template>
  <svg viewBox="0 0 96 44" class="text-brass" aria-hidden="true">
    <defs>
      <linearGradient :id="`${id}-cone`">
        <stop offset="0" stop-color="currentColor" stop-opacity="0.75" />
        <stop offset="1" stop-color="currentColor" stop-opacity="0.12" />
      </linearGradient>
      <clipPath v-if="through" :id="`${id}-through`"><path :d="through" /></clipPath>
      <radialGradient :id="`${id}-pool`" gradientUnits="userSpaceOnUse" cx="0" cy="0" :r="rim">
        <stop :offset="fadeFrom" stop-color="currentColor" />
        <stop offset="1" stop-color="currentColor" :stop-opacity="rimOpacity" />
      </radialGradient>
    </defs>
    <g v-if="isBeside">
      <path :d="cone" :fill="`url(#${id}-cone)`" stroke="currentColor" stroke-width="0.6" stroke-linejoin="round" />
      <path :d="`M${APEX} 22H${end}`" stroke="currentColor" stroke-width="0.5" stroke-dasharray="2 2" opacity="0.5" />
      <rect :x="APEX - 5" y="18.500" width="6" height="7" rx="1.500" class="fill-plank-2 stroke-mist" />
    </g>
    <g v-if="hasPool" :transform="`translate(${middle} 22)`">
      <circle :r="RADIUS" fill="none" class="stroke-rule-2" stroke-width="0.8" />
      <path
        v-for="({ x, y }, i) in pools"
        :key="i"
        :d="lit"
        :transform="`translate(${x} ${y})`"
        :clip-path="through ? `url(#${id}-through)` : undefined"
        :fill="`url(#${id}-pool)`"
        :opacity="brightness / Math.sqrt(pools.length)"
      />
      <!-- It turns: an arrow the way round. -->
      <path
        v-if="isTurning(shape)"
        class="fill-none stroke-mist"
        stroke-width="1.2"
        :d="`M0 ${-RADIUS - 2.5}A${RADIUS + 2.5} ${RADIUS + 2.5} 0 0 1 ${RADIUS + 2.5} 0l-2.500-2.500m2.500 2.500l2.500-2.500`"
      />
      <path
        v-if="shape.strobe > 0"
        class="fill-none stroke-coral"
        stroke-width="1.4"
        stroke-linejoin="round"
        d="M20.500-17l-3.500 6h3.500l-3.500 6"
      />
    </g>
  </svg>
</template>
