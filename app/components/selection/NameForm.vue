<script setup lang="ts">
/** Asks for a name, in place. */
import { onMounted, ref } from 'vue'

const props = defineProps<{ label: string; name?: string }>()
const emit = defineEmits<{ keep: [name: string]; cancel: [] }>()
const name = ref(props.name ?? '')
const field = ref<HTMLInputElement | null>(null)
onMounted(() => field.value?.select())

function keep() {
  if (name.value.trim()) emit('keep', name.value.trim())
}
</script>

<template>
  <form class="mb-1.5 flex gap-1" @submit.prevent="keep" @keydown.esc.stop="emit('cancel')">
    <input ref="field" v-model="name" class="field font-sans" :placeholder="label" :aria-label="label" autofocus />
    <button type="submit" class="chip" :disabled="!name.trim()">Keep</button>
  </form>
</template>
