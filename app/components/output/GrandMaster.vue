<script setup lang="ts">
/** The grand master of an output, and its black-out. */
import { computed, ref } from 'vue'
import type { Output } from '#core/show/entities'
import type { OutputId } from '#core/show/ids'
import { useShow } from '../../stores/show'

const props = defineProps<{ id: OutputId; output: Output }>()
const store = useShow()
/** Per cent; where it is dragged to counts until it is sent. */
const dragged = ref<number | null>(null)
const level = computed(() => dragged.value ?? Math.round(props.output.level * 100))

let isSending = false
/** Sends where it is dragged to, one after the other: the light follows the hand. */
async function drag({ target }: Event) {
  if (!(target instanceof HTMLInputElement)) return
  dragged.value = Number(target.value)
  if (isSending) return
  isSending = true
  for (let sent: number | null = null; dragged.value !== null && dragged.value !== sent;) {
    sent = dragged.value
    await store.send('changeOutput', { output: props.id, level: sent / 100 })
  }
  dragged.value = null
  isSending = false
}
</script>

<template>
  <div class="flex items-end gap-3">
    <label class="flex min-w-0 flex-1 flex-col">
      <span class="flex justify-between text-xs text-haze"
        ><span>Grand master</span><span class="font-mono">{{ level }} %</span></span
      >
      <input
        type="range"
        min="0"
        max="100"
        step="1"
        class="accent-brass"
        :value="level"
        :aria-label="`Grand master of ${output.name}`"
        @input="drag"
      />
    </label>
    <button
      type="button"
      class="chip shrink-0"
      :class="output.isBlack ? 'chip-on' : ''"
      :aria-pressed="output.isBlack"
      title="Takes all its light away; nothing else moves"
      @click="store.send('changeOutput', { output: id, isBlack: !output.isBlack })"
    >
      Black out
    </button>
  </div>
</template>
