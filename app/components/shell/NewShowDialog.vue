<script setup lang="ts">
/** Names and makes a new show, then goes there. */
import { ref, watch } from 'vue'
import { request } from '../../session/request'
import { newShow } from '../../session/responses'
import PlainDialog from './PlainDialog.vue'

const props = defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const name = ref('')
const trouble = ref<string | null>(null)
watch(
  () => props.open,
  () => {
    name.value = ''
    trouble.value = null
  },
)

async function make() {
  const answered = await request('/api/shows', newShow, { name: name.value.trim() })
  if (!answered.ok) {
    trouble.value = answered.refusal.message
    return
  }
  emit('close')
  await navigateTo(`/shows/${answered.body.id}/rig`)
}
</script>

<template>
  <PlainDialog :open="open" title="New show" @close="emit('close')">
    <form class="flex flex-col gap-3 p-5" @submit.prevent="make">
      <label
        ><span class="mb-1 block text-mist">Name of the show</span
        ><input v-model="name" class="field px-2.5 py-1.5 font-sans text-base" autocomplete="off"
      /></label>
      <p class="text-sm text-mist">
        It starts with a plain stage, the usual fixture types and one cue list. Hang the rig next, or bring it in from a
        table.
      </p>
      <p v-if="trouble" class="text-coral" role="alert">{{ trouble }}</p>
      <div class="flex justify-end gap-2">
        <button type="button" class="quiet-button" @click="emit('close')">Cancel</button>
        <button type="submit" class="main-button" :disabled="!name.trim()">Make show</button>
      </div>
    </form>
  </PlainDialog>
</template>
