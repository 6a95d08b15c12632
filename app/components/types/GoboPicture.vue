<script setup lang="ts">
/** What a gobo lets through, drawn small. */
import { useId } from 'vue'
import type { GOBO_PATTERNS } from '#core/show/entities'

defineProps<{ pattern: (typeof GOBO_PATTERNS)[number] }>()
const opening = useId()
const RIPPLES = [-8, -4, 0, 4, 8]
const DOTS = [
  [-5, -5],
  [4, -6],
  [0, 0],
  [-6, 4],
  [5, 4],
  [0, 8],
  [8, -1],
] as const
const SPOKES = Array.from({ length: 10 }, (_, i) => {
  const turn = (i * Math.PI) / 5
  const radius = i % 2 === 0 ? 10 : 4
  return `${(radius * Math.sin(turn)).toFixed(1)},${(-radius * Math.cos(turn)).toFixed(1)}`
}).join(' ')
</script>

<template>
  <svg viewBox="-12 -12 24 24" width="26" height="26" aria-hidden="true">
    <circle r="11" :class="pattern === 'open' ? 'fill-brass/80' : 'fill-night'" class="stroke-rule-2" />
    <g v-if="pattern === 'dots'" class="fill-brass">
      <circle v-for="([x, y], i) in DOTS" :key="i" :cx="x" :cy="y" r="2" />
    </g>
    <path
      v-else-if="pattern === 'breakup'"
      class="fill-brass"
      d="M-8-3l4-4 3 3-3 3zM1-8l6 2-2 4-4-2zM-6 3l5-2 2 4-4 4zM4 1l5 1-3 5-3-2z"
    />
    <path v-else-if="pattern === 'bars'" class="stroke-brass" stroke-width="2.4" d="M-6-8V8M-2-10V10M2-10V10M6-8V8" />
    <circle v-else-if="pattern === 'ring'" r="6.500" class="fill-none stroke-brass" stroke-width="2.5" />
    <path v-else-if="pattern === 'window'" class="fill-brass" d="M-6-8h5v7h-5zM1-8h5v7H1zM-6 1h5v7h-5zM1 1h5v7H1z" />
    <g
      v-else-if="pattern === 'ripples'"
      class="fill-none stroke-brass"
      stroke-width="1.5"
      :clip-path="`url(#${opening})`"
    >
      <clipPath :id="opening"><circle r="10" /></clipPath>
      <path v-for="y in RIPPLES" :key="y" :d="`M-10 ${y}q2.500-3 5 0t5 0t5 0t5 0`" />
    </g>
    <polygon v-else-if="pattern === 'star'" :points="SPOKES" class="fill-brass" />
    <path
      v-else-if="pattern === 'net'"
      class="stroke-brass"
      stroke-width="1.2"
      d="M-8-6L6 8M-10-1L1 10M-2-10L10 2M8-6L-6 8M10-1L-1 10M2-10L-10 2"
    />
  </svg>
</template>
