<script setup lang="ts">
/** Draws an outline on the plan, and says how while it is drawn. */
import { PenLine } from '@lucide/vue'
import { onUnmounted, ref, watch } from 'vue'
import type { PlanPoint } from '#core/venue/outline'
import { useOutlineDrawing } from '../../stores/outlineDrawing'

const emit = defineEmits<{ drawn: [outline: PlanPoint[]] }>()
const drawing = useOutlineDrawing()
/** Several of these may stand beside each other: one of them is drawn for. */
const isOurs = ref(false)

function begin() {
  drawing.begin((outline) => emit('drawn', outline))
  isOurs.value = true
}
onUnmounted(() => {
  if (isOurs.value) drawing.giveUp()
})
watch(
  () => drawing.isDrawing,
  (isDrawing) => {
    if (!isDrawing) isOurs.value = false
  },
)
</script>

<template>
  <p v-if="isOurs" class="text-xs text-shoal" role="status">
    Press corner after corner on the plan: they catch on corners of what lies under it, else on 5 cm (Shift: straight
    on, Alt: anywhere). The first corner or Enter ends it, Backspace takes one back, Esc gives it up.
  </p>
  <button v-else type="button" class="chip flex items-center gap-1.5 self-start" @click="begin">
    <PenLine :size="13" aria-hidden="true" />Draw it on the plan
  </button>
</template>
