<script setup lang="ts">
/** One part that mixes a colour: how far it is up, or in. */
import { computed, shallowRef } from 'vue'
import { gradientOf } from '../../composables/hand/colourGradients'
import { percentTyped } from '../../composables/hand/percentTyped'
import type { HandPart } from '../../composables/hand/useHandColour'
import ColourTrack from './ColourTrack.vue'

const props = defineProps<{ part: HandPart; of: number }>()
const emit = defineEmits<{ try: [level: number]; set: [level: number]; keep: []; cancel: [] }>()
const STEP = 0.02
const dragged = shallowRef<number | null>(null)
const low = computed(() => dragged.value ?? props.part.low)
const high = computed(() => dragged.value ?? props.part.high)
const shown = computed(() => {
  const [least, most] = [low.value, high.value].map((level) => Math.round(level * 100))
  return least === most ? String(least) : `${least}–${most}`
})

function drag(level: number) {
  dragged.value = level
  emit('try', level)
}
function leave(how: 'keep' | 'cancel') {
  dragged.value = null
  if (how === 'keep') emit('keep')
  else emit('cancel')
}
</script>

<template>
  <ColourTrack
    :name="part.name"
    :label="part.name"
    unit="per cent"
    :background="gradientOf(part)"
    :low="low"
    :high="high"
    :ends="{ min: 0, max: 100 }"
    :shown="shown"
    :read="percentTyped"
    @drag="drag"
    @end="leave('keep')"
    @cancel="leave('cancel')"
    @step="(way) => emit('set', Math.min(1, Math.max(0, low + way * STEP)))"
    @keep="(level) => emit('set', level)"
  >
    <span v-if="part.fixtures < of" class="shrink-0 text-xs text-haze">{{ part.fixtures }} of {{ of }}</span>
  </ColourTrack>
</template>
