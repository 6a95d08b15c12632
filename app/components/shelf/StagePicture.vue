<script setup lang="ts">
/** A small picture of where light falls. On a canvas: many of them scroll by at once. */
import { useDevicePixelRatio, useElementSize } from '@vueuse/core'
import { computed, useTemplateRef, watchPostEffect } from 'vue'
import type { StageFixture } from '#core/cues/onStage'
import type { Venue } from '#core/show/entities'
import { useTheme } from '../../composables/shell/useTheme'
import { drawFrontPicture } from '../../drawing/frontPicture'
import { readInks } from '../../drawing/inks'

const props = defineProps<{ fixtures: readonly StageFixture[]; venue: Venue; byIntensity?: boolean }>()

const sheet = useTemplateRef<HTMLElement>('sheet')
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const { width, height } = useElementSize(sheet)
const { pixelRatio } = useDevicePixelRatio()
const { isPaper } = useTheme()
const inks = computed(() => readInks(isPaper.value))

watchPostEffect(() => {
  const brush = canvas.value?.getContext('2d')
  if (!canvas.value || !brush || width.value === 0) return
  canvas.value.width = Math.round(width.value * pixelRatio.value)
  canvas.value.height = Math.round(height.value * pixelRatio.value)
  brush.setTransform(pixelRatio.value, 0, 0, pixelRatio.value, 0, 0)
  const picture = { fixtures: props.fixtures, venue: props.venue, byIntensity: props.byIntensity === true }
  drawFrontPicture(brush, inks.value, picture, { width: width.value, height: height.value })
})
</script>

<template>
  <div ref="sheet" class="relative aspect-[130/70] w-full" aria-hidden="true">
    <canvas ref="canvas" class="absolute inset-0 size-full" />
  </div>
</template>
