<script setup lang="ts" generic="Change">
/** A value that is typed, or changed by so much: `50`, `+5`, `-10 %`. Nonsense is said and not kept. */
import { ref, watch } from 'vue'
import { afterNextFrame } from '../../session/afterNextFrame'

const props = defineProps<{
  label: string
  shown: string
  read: (text: string) => Change | null
  disabled?: boolean
}>()
const emit = defineEmits<{ keep: [change: Change] }>()
const text = ref<string | null>(null)
/** What was typed stands until it is told what came of it, which is a frame later. */
const kept = ref<string | null>(null)
const forget = () => (kept.value = null)
watch(() => props.shown, forget)
const isWrong = ref(false)
const field = ref<HTMLInputElement | null>(null)

async function begin() {
  text.value = kept.value ?? props.shown
  field.value?.select()
}

function keep() {
  const typed = text.value?.trim() ?? ''
  const isSame = typed === '' || typed === props.shown
  const change = isSame ? null : props.read(typed)
  isWrong.value = !isSame && change === null
  if (isWrong.value) return
  text.value = null
  if (change) {
    kept.value = typed
    afterNextFrame(() => afterNextFrame(forget))
    emit('keep', change)
  }
  field.value?.blur()
}

function leave() {
  text.value = null
  isWrong.value = false
}

function typing() {
  text.value = field.value?.value ?? null
  isWrong.value = false
}
</script>

<template>
  <div class="relative">
    <input
      ref="field"
      class="field px-1.5 py-0.5 text-right"
      :value="text ?? kept ?? shown"
      :aria-label="label"
      :aria-invalid="isWrong"
      :disabled="disabled"
      title="+5, -10 % and the like change it by so much"
      autocomplete="off"
      @focus="begin"
      @input="typing"
      @keydown.enter.prevent="keep"
      @keydown.esc.stop="(leave(), field?.blur())"
      @blur="text !== null && (keep(), leave())"
    />
    <p
      v-if="isWrong"
      class="absolute top-full right-0 z-20 w-max max-w-56 rounded-md border border-coral bg-plank px-2 py-1 text-xs text-coral shadow-lg"
      role="alert"
    >
      Type a number, or +5, or -10 %.
    </p>
  </div>
</template>
