<script setup lang="ts" generic="Key extends string">
/** One of a few, all in view in one box. */
defineProps<{
  label: string
  options: readonly { readonly key: Key; readonly name: string }[]
  value: Key | null
}>()
defineEmits<{ choose: [key: Key] }>()
</script>

<template>
  <div class="flex rounded-lg border border-rule-2 bg-deck p-0.5" role="radiogroup" :aria-label="label">
    <button
      v-for="option in options"
      :key="option.key"
      type="button"
      role="radio"
      :aria-checked="value === option.key"
      class="rounded-md px-2.5 py-1 text-sm"
      :class="value === option.key ? 'bg-plank-2 font-semibold text-sail' : 'text-mist hover:text-sail'"
      @click="$emit('choose', option.key)"
    >
      {{ option.name }}
    </button>
  </div>
</template>
