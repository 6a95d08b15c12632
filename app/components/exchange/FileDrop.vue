<script setup lang="ts">
/** Where a file is dropped or chosen, with how its reading goes. */
import { Upload } from '@lucide/vue'
import { ref } from 'vue'

defineProps<{
  /** Endings that are meant, with commas between. */
  accept: string
  /** Whether several may be chosen at once; they are opened one after the other. */
  multiple?: boolean
  isReading: boolean
  trouble: string | null
}>()
const emit = defineEmits<{ open: [file: File]; stop: [] }>()
const isOver = ref(false)

function chosen({ target }: Event) {
  if (!(target instanceof HTMLInputElement)) return
  for (const file of target.files ?? []) emit('open', file)
  target.value = ''
}
function dropped(event: DragEvent) {
  isOver.value = false
  for (const file of event.dataTransfer?.files ?? []) emit('open', file)
}
</script>

<template>
  <div
    class="grid place-items-center gap-2 rounded-lg border border-dashed p-5 text-center"
    :class="isOver ? 'border-coral bg-plank-2' : 'border-rule-2'"
    @dragover.prevent="isOver = true"
    @dragleave="isOver = false"
    @drop.prevent="dropped"
  >
    <Upload :size="20" class="text-mist" aria-hidden="true" />
    <p class="max-w-md text-mist"><slot /></p>
    <p v-if="isReading" role="status">
      Reading … <button type="button" class="chip ml-2 px-2 py-0.5" @click="emit('stop')">Stop</button>
    </p>
    <label v-else class="quiet-button cursor-pointer py-1.5">
      {{ multiple ? 'Choose files' : 'Choose the file' }}
      <input type="file" class="sr-only" :accept="accept" :multiple="multiple" @change="chosen" />
    </label>
    <p v-if="trouble" class="text-coral" role="alert">{{ trouble }}</p>
  </div>
</template>
