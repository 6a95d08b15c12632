<script setup lang="ts" generic="Key extends string">
/** One of several, kept at once. What is refused says why and is put back. */
import { ref } from 'vue'

const props = defineProps<{
  label: string
  /** Null where several differ. */
  value: Key | null
  options: readonly { readonly key: Key; readonly name: string }[]
  /** What is shown where none is chosen. */
  placeholder?: string
  disabled?: boolean
  keep: (key: Key) => Promise<string | null>
}>()
const trouble = ref<string | null>(null)

async function choose(event: Event) {
  const { target } = event
  if (!(target instanceof HTMLSelectElement)) return
  const option = props.options.find(({ key }) => key === target.value)
  if (!option) return
  trouble.value = await props.keep(option.key)
  target.value = props.value ?? ''
}
</script>

<template>
  <label class="block min-w-0">
    <span class="block truncate text-xs text-haze">{{ label }}</span>
    <select class="field px-1 py-0.5 font-sans" :value="value ?? ''" :disabled="disabled" @change="choose">
      <option v-if="value === null" value="" disabled>{{ placeholder ?? 'mixed' }}</option>
      <option v-for="option in options" :key="option.key" :value="option.key">{{ option.name }}</option>
    </select>
    <span v-if="trouble" class="field-trouble" role="alert">{{ trouble }}</span>
  </label>
</template>
