<script setup lang="ts">
/**
 * A sheet for light, between the ground of a stage drawing and its rig. It is a canvas so that a
 * light can be dragged without drawing everything else anew.
 */
import { useDevicePixelRatio } from '@vueuse/core'
import { computed, useTemplateRef, watchPostEffect } from 'vue'
import { usePlan } from '../../composables/stage/planKey'
import { useTheme } from '../../composables/shell/useTheme'
import type { Brush } from '../../drawing/brush'
import { readInks, type Inks } from '../../drawing/inks'

const props = defineProps<{ label: string; draw: (brush: Brush, inks: Inks) => void }>()
const { width, height } = usePlan()
const { isPaper } = useTheme()
const { pixelRatio } = useDevicePixelRatio()
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const inks = computed(() => readInks(isPaper.value))
const size = computed(() => ({
  width: Math.round(width.value * pixelRatio.value),
  height: Math.round(height.value * pixelRatio.value),
}))

watchPostEffect(() => {
  const sheet = canvas.value
  const brush = sheet?.getContext('2d')
  if (!sheet || !brush) return
  if (sheet.width !== size.value.width) sheet.width = size.value.width
  if (sheet.height !== size.value.height) sheet.height = size.value.height
  brush.setTransform(pixelRatio.value, 0, 0, pixelRatio.value, 0, 0)
  brush.clearRect(0, 0, width.value, height.value)
  props.draw(brush, inks.value)
})
</script>

<template>
  <canvas ref="canvas" class="pointer-events-none absolute inset-0 size-full" role="img" :aria-label="label" />
</template>
