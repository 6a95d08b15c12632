<script setup lang="ts">
/** A number with its unit. Several different ones are shown as "mixed". */
import { computed } from 'vue'
import { shortNumber } from '#core/show/shortNumber'
import { numberTyped } from '#core/show/numberTyped'
import { NOT_A_NUMBER } from '../../composables/forms/numbers'
import TextField from './TextField.vue'

const props = defineProps<{
  label: string
  unit: string
  /** Null where several differ, or where there is none. */
  value: number | null
  digits?: number
  placeholder?: string
  disabled?: boolean
  keep: (value: number) => Promise<string | null>
}>()
const shown = computed(() => (props.value === null ? '' : shortNumber(props.value, props.digits)))

async function commit(text: string): Promise<string | null> {
  if (text === '' && props.value === null) return null
  const value = numberTyped(text)
  return value === null ? NOT_A_NUMBER : props.keep(value)
}
</script>

<template>
  <TextField
    :label="label"
    :unit="unit"
    :shown="shown"
    :placeholder="value === null ? (placeholder ?? 'mixed') : ''"
    :disabled="disabled"
    :keep="commit"
  />
</template>
