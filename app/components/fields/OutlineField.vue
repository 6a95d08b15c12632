<script setup lang="ts">
/** An outline: corners as two numbers a line, with a small drawing of what they make. */
import { computed, ref, useId } from 'vue'
import type { PlanPoint } from '#core/venue/outline'
import { outlineInWords, readOutline } from '#core/venue/outlineText'
import { useEditableField } from '../../composables/forms/useEditableField'
import DrawOutline from './DrawOutline.vue'

const props = defineProps<{
  label: string
  outline: readonly PlanPoint[]
  keep: (outline: PlanPoint[]) => Promise<string | null>
  /** Where a place of the stage is in the frame the outline is told in; without one it is not drawn on the plan. */
  ownPlace?: (place: PlanPoint) => PlanPoint
}>()
const untold = ref<string | null>(null)
async function drawn(outline: PlanPoint[]) {
  untold.value = await props.keep(outline.map((place) => props.ownPlace?.(place) ?? place))
}
const id = useId()
const { text, trouble, leave, putBack } = useEditableField(
  () => outlineInWords(props.outline),
  async (typed) => {
    const reading = readOutline(typed)
    return reading.ok ? props.keep(reading.outline) : reading.trouble
  },
)

/** What is typed as far as it can be read, fitted into a square of 100. */
const picture = computed(() => {
  const reading = readOutline(text.value)
  const points = reading.ok ? reading.outline : props.outline
  const xs = points.map((p) => p.x)
  const ys = points.map((p) => p.y)
  const span = Math.max(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys), 0.01)
  return points
    .map(({ x, y }) => `${((x - Math.min(...xs)) / span) * 92 + 4},${96 - ((y - Math.min(...ys)) / span) * 92}`)
    .join(' ')
})
</script>

<template>
  <div class="flex flex-col gap-1">
    <label class="block">
      <span class="block text-xs text-haze">{{ label }}, one corner a line: across, upstage (m)</span>
      <span class="flex gap-2">
        <textarea
          v-model="text"
          class="field h-20 flex-1 resize-y px-1.5 py-0.5 leading-snug"
          spellcheck="false"
          :aria-label="label"
          :aria-invalid="trouble !== null"
          :aria-describedby="trouble ? id : undefined"
          @keydown.esc.stop="putBack"
          @blur="leave"
        />
        <svg viewBox="0 0 100 100" class="h-20 w-20 rounded-md border border-rule bg-night" aria-hidden="true">
          <polygon :points="picture" class="fill-plank-2 stroke-mist" vector-effect="non-scaling-stroke" />
        </svg>
      </span>
      <span v-if="trouble" :id="id" class="field-trouble" role="alert">{{ trouble }}</span>
    </label>
    <DrawOutline v-if="ownPlace" @drawn="drawn" />
    <span v-if="untold" class="field-trouble" role="alert">{{ untold }}</span>
  </div>
</template>
