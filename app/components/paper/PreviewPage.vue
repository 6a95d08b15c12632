<script setup lang="ts">
/** A page as it is printed, drawn when it comes into view; its words for those who read with their ears. */
import { useElementSize, useElementVisibility } from '@vueuse/core'
import { computed, ref, useTemplateRef, watch } from 'vue'
import type { PDFPageProxy, RenderTask } from 'pdfjs-dist'
import { useTheme } from '../../composables/shell/useTheme'

const props = defineProps<{ page: PDFPageProxy; number: number; fit: 'page' | 'width' }>()
const { isPaper } = useTheme()
const frame = useTemplateRef<HTMLElement>('frame')
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const isSeen = useElementVisibility(frame, { rootMargin: '400px' })
const { width } = useElementSize(frame)
const words = ref('')

const viewport = computed(() => props.page.getViewport({ scale: 1 }))
const ratio = computed(() => viewport.value.width / viewport.value.height)
let drawing: RenderTask | null = null
/** The page whose words they are. */
let wordsFrom: PDFPageProxy | null = null

async function draw() {
  const target = canvas.value
  if (!isSeen.value || !target || width.value === 0) return
  drawing?.cancel()
  const scale = (width.value / viewport.value.width) * window.devicePixelRatio
  const task = props.page.render({ canvas: target, viewport: sized(target, scale) })
  drawing = task
  await task.promise.catch((error: unknown) => {
    // Another size was asked for meanwhile.
    if (drawing === task) throw error
  })
  if (wordsFrom === props.page) return
  wordsFrom = props.page
  words.value = await wordsOf(props.page)
}

function sized(target: HTMLCanvasElement, scale: number) {
  const view = props.page.getViewport({ scale })
  target.width = Math.round(view.width)
  target.height = Math.round(view.height)
  return view
}

async function wordsOf(page: PDFPageProxy): Promise<string> {
  const { items } = await page.getTextContent()
  return items.flatMap((item) => ('str' in item ? [item.str] : [])).join(' ')
}

watch([isSeen, width, () => props.page], () => void draw(), { flush: 'post', immediate: true })
</script>

<template>
  <figure
    ref="frame"
    class="relative shrink-0 shadow-md shadow-night/60"
    :class="isPaper ? '' : 'brightness-[0.86]'"
    :style="{
      aspectRatio: String(ratio),
      width: fit === 'width' ? '100%' : `min(100%, calc((100vh - 128px) * ${ratio}))`,
    }"
    role="img"
    :aria-label="`Page ${number}`"
  >
    <canvas ref="canvas" class="size-full" />
    <p class="sr-only">{{ words }}</p>
  </figure>
</template>
