<script setup lang="ts" generic="Option extends string">
/** A few words of which one is chosen. */
defineProps<{ label: string; options: readonly Option[] }>()
const chosen = defineModel<Option>({ required: true })
</script>

<template>
  <div class="flex min-w-0 rounded-md border border-rule-2 bg-night p-px" role="radiogroup" :aria-label="label">
    <button
      v-for="option in options"
      :key="option"
      type="button"
      role="radio"
      class="min-w-0 flex-1 truncate rounded px-1.5 py-0.5 text-sm"
      :class="chosen === option ? 'bg-plank-2 font-semibold text-sail' : 'text-mist hover:text-sail'"
      :aria-checked="chosen === option"
      @click="chosen = option"
    >
      {{ option }}
    </button>
  </div>
</template>
