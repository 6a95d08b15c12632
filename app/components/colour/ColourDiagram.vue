<script setup lang="ts">
/** The CIE 1931 diagram with what the selected types can make, what is asked for, and what comes of it. */
import { computed, onMounted, useTemplateRef } from 'vue'
import { screenOf, type Chromaticity } from '#core/colour/colour'
import { SPECTRAL_LOCUS } from '#core/colour/spectralLocus'
import { DIAGRAM } from '../../composables/hand/colourGradients'

const props = defineProps<{
  gamuts: readonly (readonly Chromaticity[])[]
  /** Where what was asked for ends up, type by type. */
  made: readonly Chromaticity[]
}>()
const { wide: WIDE, high: HIGH } = DIAGRAM
const GRAIN = 96
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')

const at = ({ x, y }: Chromaticity) => `${((x / WIDE) * 100).toFixed(2)} ${((1 - y / HIGH) * 100).toFixed(2)}`
const outline = (ring: readonly Chromaticity[]) => (ring.length === 0 ? '' : `M${ring.map(at).join('L')}Z`)
const edge = outline(SPECTRAL_LOCUS)
const gamuts = computed(() => props.gamuts.map(outline))
const made = computed(() => props.made.map((place) => `M${at(place)}h0`).join(''))

onMounted(() => {
  const brush = canvas.value?.getContext('2d')
  if (!brush) return
  brush.clip(new Path2D(edge.replaceAll(/[\d.]+/g, (text) => String((Number(text) * GRAIN) / 100))))
  for (let row = 0; row < GRAIN; row++)
    for (let column = 0; column < GRAIN; column++) {
      const y = Math.max(0.005, HIGH * (1 - (row + 0.5) / GRAIN))
      const { red, green, blue } = screenOf({ x: (WIDE * (column + 0.5)) / GRAIN, y, level: 1 })
      brush.fillStyle = `rgb(${[red, green, blue].map((part) => Math.round(part * 255)).join(' ')})`
      brush.fillRect(column, row, 1, 1)
    }
})
</script>

<template>
  <canvas
    ref="canvas"
    :width="GRAIN"
    :height="GRAIN"
    class="absolute inset-0 h-full w-full opacity-70"
    aria-hidden="true"
  />
  <svg viewBox="0 0 100 100" preserveAspectRatio="none" class="absolute inset-0 h-full w-full" aria-hidden="true">
    <path :d="edge" class="fill-none stroke-rule-2" vector-effect="non-scaling-stroke" />
    <path
      v-for="(gamut, i) in gamuts"
      :key="i"
      :d="gamut"
      class="fill-none stroke-white"
      stroke-width="1.5"
      :stroke-dasharray="['none', '5 3', '2 2'][i % 3]"
      vector-effect="non-scaling-stroke"
    />
    <path :d="made" class="stroke-black" stroke-width="7" stroke-linecap="round" vector-effect="non-scaling-stroke" />
    <path :d="made" class="stroke-coral" stroke-width="5" stroke-linecap="round" vector-effect="non-scaling-stroke" />
  </svg>
</template>
