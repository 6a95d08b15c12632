<script setup lang="ts">
/** A number typed and kept with Enter or by leaving the field; nonsense is said and not kept. */
import { ref, watch } from 'vue'

const props = defineProps<{ label: string; shown: string; unit: string; disabled?: boolean; placeholder?: string }>()
const emit = defineEmits<{ keep: [value: number] }>()

const text = ref(props.shown)
const trouble = ref(false)
const field = ref<HTMLInputElement | null>(null)
watch(
  () => props.shown,
  (shown) => {
    text.value = shown
    trouble.value = false
  },
)

function keep() {
  const typed = text.value.trim()
  if (typed === props.shown.trim() || typed === '') {
    text.value = props.shown
    trouble.value = false
    return
  }
  const value = Number(typed.replace(',', '.').replace('−', '-'))
  trouble.value = !Number.isFinite(value)
  if (!trouble.value) emit('keep', value)
}

function back() {
  text.value = props.shown
  trouble.value = false
}
</script>

<template>
  <label class="block min-w-0">
    <span class="block text-xs text-haze">{{ label }}</span>
    <span class="flex items-baseline gap-1">
      <input
        ref="field"
        v-model="text"
        class="field px-1.5 py-0.5"
        :aria-label="`${label} in ${unit}`"
        :aria-invalid="trouble"
        :title="trouble ? 'This is not a number' : undefined"
        :disabled="disabled"
        autocomplete="off"
        :placeholder="placeholder"
        @keydown.enter.prevent="field?.blur()"
        @keydown.esc.stop="(back(), field?.blur())"
        @blur="keep"
        @focus="field?.select()"
      />
    </span>
  </label>
</template>
