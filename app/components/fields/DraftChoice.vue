<script setup lang="ts" generic="Key extends string">
/** One of several, in a form that is sent as a whole. */
const props = defineProps<{
  label: string
  options: readonly { readonly key: Key; readonly name: string }[]
  trouble?: string | null
}>()
const key = defineModel<Key | null>({ required: true })

function choose(event: Event) {
  const { target } = event
  if (target instanceof HTMLSelectElement) key.value = props.options.find((o) => o.key === target.value)?.key ?? null
}
</script>

<template>
  <label class="block min-w-0">
    <span class="block truncate text-xs text-haze">{{ label }}</span>
    <select class="field px-1 py-0.5 font-sans" :value="key ?? ''" @change="choose">
      <option v-if="key === null" value="" disabled>choose</option>
      <option v-for="option in options" :key="option.key" :value="option.key">{{ option.name }}</option>
    </select>
    <span v-if="trouble" class="field-trouble" role="alert">{{ trouble }}</span>
  </label>
</template>
