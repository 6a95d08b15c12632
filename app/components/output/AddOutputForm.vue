<script setup lang="ts">
/** Adds an output for all universes that anything is patched in; it stays on this machine, and off. */
import { computed, ref } from 'vue'
import { spansOf } from '#core/patch/span'
import { LOOPBACK, PROTOCOLS, SENT_NUMBERS, type Protocol } from '#core/show/entities'
import { useCommit } from '../../composables/forms/useCommit'
import { useOutputRoom } from '../../stores/outputRoom'
import { useShow } from '../../stores/show'

const emit = defineEmits<{ done: [] }>()
const store = useShow()
const room = useOutputRoom()
const { keep } = useCommit()
const name = ref('')
const protocol = ref<Protocol>('E1.31')
const trouble = ref<string | null>(null)
const OPTIONS = PROTOCOLS.map((key) => ({ key, name: key }))

const universes = computed(() => {
  const patched = store.view ? spansOf(store.view).map(({ universe }) => universe) : []
  const first = Math.min(...patched)
  return patched.length > 0 ? { first, last: Math.min(Math.max(...patched), first + 255) } : { first: 1, last: 4 }
})

async function add() {
  const { first, last } = universes.value
  const { least } = SENT_NUMBERS[protocol.value]
  trouble.value = await keep('addOutput', {
    ...{ name: name.value, protocol: protocol.value, first, last, sentAs: first - 1 + least },
    ...{ addresses: [], from: LOOPBACK, priority: 100, sync: null, sourceName: 'Rhopander' },
  })
  if (trouble.value) return
  room.asked = room.outputs.find(({ output }) => output.name === name.value.trim())?.id ?? null
  emit('done')
}
</script>

<template>
  <form
    class="flex flex-col gap-2 border-b border-rule bg-plank px-4 py-3"
    aria-label="Add an output"
    @submit.prevent="add"
  >
    <label class="block text-xs text-haze">
      Name
      <input v-model="name" class="field font-sans" maxlength="120" autocomplete="off" autofocus />
    </label>
    <SwitchField
      class="self-start"
      label="Protocol"
      :options="OPTIONS"
      :value="protocol"
      @choose="(key) => (protocol = key)"
    />
    <p v-if="trouble" class="text-sm text-coral" role="alert">{{ trouble }}</p>
    <div class="flex gap-2">
      <button type="button" class="quiet-button py-1" @click="emit('done')">Leave it</button>
      <button type="submit" class="main-button py-1" :disabled="name.trim() === ''">Add</button>
    </div>
  </form>
</template>
