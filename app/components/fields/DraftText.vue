<script setup lang="ts">
/** A field of a form that is sent as a whole. */
import { useId } from 'vue'

defineProps<{ label: string; unit?: string; trouble?: string | null; placeholder?: string }>()
const text = defineModel<string>({ required: true })
const id = useId()
</script>

<template>
  <label class="block min-w-0">
    <span class="block truncate text-xs text-haze"
      >{{ label }}<template v-if="unit">, {{ unit }}</template></span
    >
    <input
      v-model="text"
      class="field px-1.5 py-0.5"
      :class="unit ? '' : 'font-sans'"
      :placeholder="placeholder"
      :aria-invalid="!!trouble"
      :aria-describedby="trouble ? id : undefined"
      autocomplete="off"
    />
    <span v-if="trouble" :id="id" class="field-trouble" role="alert">{{ trouble }}</span>
  </label>
</template>
