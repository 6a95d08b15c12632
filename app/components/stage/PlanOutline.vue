<script setup lang="ts">
/** The outline that is being drawn on the plan. */
import { useEventListener } from '@vueuse/core'
import { computed } from 'vue'
import { pathOf } from '#core/drawing/svgPath'
import { isTyping } from '../../composables/keys/isTyping'
import { usePlan } from '../../composables/stage/planKey'
import { useOutlineDrawing } from '../../stores/outlineDrawing'

const drawing = useOutlineDrawing()
const { toScreen } = usePlan()
const at = ({ x, y }: { x: number; y: number }) => toScreen({ x, y, z: 0 })
const corners = computed(() => drawing.corners.map(at))
const next = computed(() => drawing.next && at(drawing.next))
const length = computed(() => {
  const [from, to] = [drawing.corners.at(-1), drawing.next]
  return from && to ? Math.hypot(to.x - from.x, to.y - from.y) : 0
})

useEventListener('keydown', (event) => {
  if (isTyping(event)) return
  if (event.key === 'Enter') drawing.finish()
  else if (event.key === 'Backspace') drawing.takeBack()
  else return
  event.preventDefault()
})
</script>

<template>
  <g pointer-events="none" role="img" :aria-label="`Outline being drawn, ${drawing.corners.length} corners`">
    <path
      :d="pathOf([...corners, ...(next ? [next] : [])], false)"
      class="fill-shoal/10 stroke-shoal"
      stroke-width="1.5"
    />
    <circle
      v-for="(corner, i) in corners"
      :key="i"
      :cx="corner.x"
      :cy="corner.y"
      :r="i === 0 ? 5 : 3"
      class="fill-shoal"
    />
    <circle v-if="next" :cx="next.x" :cy="next.y" r="4" class="fill-none stroke-shoal" />
    <text v-if="next && length > 0" :x="next.x + 9" :y="next.y - 7" class="halo fill-sail font-mono text-[11px]"
      >{{ length.toFixed(2) }} m</text
    >
  </g>
</template>
