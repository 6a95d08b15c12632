<script setup lang="ts">
/** Opens a back-up as a show of its own; what is there stays as it is. */
import { ref, watch } from 'vue'
import { requestWithFile } from '../../session/request'
import { newShow } from '../../session/responses'
import PlainDialog from './PlainDialog.vue'

const props = defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const trouble = ref<string | null>(null)
const isReading = ref(false)
watch(
  () => props.open,
  () => (trouble.value = null),
)

async function chosen(event: Event) {
  const input = event.target
  const file = input instanceof HTMLInputElement ? input.files?.[0] : undefined
  if (!file) return
  isReading.value = true
  const answered = await requestWithFile('/api/shows/restore', newShow, file)
  isReading.value = false
  if (input instanceof HTMLInputElement) input.value = ''
  trouble.value = answered.ok ? null : answered.refusal.message
  if (!answered.ok) return
  emit('close')
  await navigateTo(`/shows/${answered.body.id}/focus`)
}
</script>

<template>
  <PlainDialog :open="open" title="Open a back-up" @close="emit('close')">
    <div class="flex flex-col gap-3 p-5">
      <p class="text-mist">
        It becomes a show of its own, with its rig, palettes, cues and venues. The shows that are here stay as they are.
      </p>
      <label class="quiet-button cursor-pointer text-center">
        {{ isReading ? 'Reading …' : 'Choose the file' }}
        <input type="file" class="sr-only" accept=".rhopander,.gz,.json" :disabled="isReading" @change="chosen" />
      </label>
      <p v-if="trouble" class="text-coral" role="alert">{{ trouble }}</p>
      <div class="flex justify-end">
        <button type="button" class="quiet-button" @click="emit('close')">Cancel</button>
      </div>
    </div>
  </PlainDialog>
</template>
