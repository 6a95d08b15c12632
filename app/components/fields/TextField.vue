<script setup lang="ts">
/** Something typed, kept with Enter or by leaving the field. What is refused says why, at the field. */
import { useId, useTemplateRef } from 'vue'
import { useEditableField } from '../../composables/forms/useEditableField'

const props = defineProps<{
  label: string
  /** Said after the label to those who cannot see it beside the number. */
  unit?: string
  shown: string
  placeholder?: string
  disabled?: boolean
  keep: (text: string) => Promise<string | null>
}>()
const id = useId()
const field = useTemplateRef<HTMLInputElement>('field')
const { text, trouble, leave, putBack } = useEditableField(
  () => props.shown,
  (typed) => props.keep(typed),
)
</script>

<template>
  <label class="block min-w-0">
    <span class="block truncate text-xs text-haze"
      >{{ label }}<template v-if="unit">, {{ unit }}</template></span
    >
    <input
      ref="field"
      v-model="text"
      class="field px-1.5 py-0.5"
      :class="unit ? '' : 'font-sans'"
      :aria-invalid="trouble !== null"
      :aria-describedby="trouble ? id : undefined"
      :disabled="disabled"
      :placeholder="placeholder"
      autocomplete="off"
      @keydown.enter.prevent="field?.blur()"
      @keydown.esc.stop="(putBack(), field?.blur())"
      @blur="leave"
      @focus="field?.select()"
    />
    <span v-if="trouble" :id="id" class="field-trouble" role="alert">{{ trouble }}</span>
  </label>
</template>
