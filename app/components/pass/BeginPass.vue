<script setup lang="ts">
/** Begins a pass at the venue in play: in which order, how bright, and what a correction counts for. */
import { reactive, ref } from 'vue'
import type { CommandInput } from '#core/commands/registry'
import { useCommit } from '../../composables/forms/useCommit'
import PassChoices from './PassChoices.vue'

defineProps<{ venue: string; palettes: number }>()
const { keep } = useCommit()
const how = reactive<CommandInput<'beginPass'>>({
  order: 'by cue',
  level: 0.7,
  others: 'out',
  corrections: 'for here',
})
const trouble = ref<string | null>(null)
const begin = async () => (trouble.value = await keep('beginPass', { ...how }))
</script>

<template>
  <form
    class="m-auto flex w-full max-w-sm flex-col gap-3 rounded-lg border border-rule-2 bg-deck p-5"
    aria-label="Begin a pass"
    @submit.prevent="begin"
  >
    <h2 class="text-lg font-semibold">A pass at {{ venue }}</h2>
    <p class="text-mist">
      {{ palettes }} palettes give places here. One after the other is brought up on stage, looked at, put right or
      touched up, and ticked off; nothing of it is recorded in a cue.
    </p>
    <PassChoices
      :order="how.order"
      :level="how.level"
      :others="how.others"
      @change="(choices) => Object.assign(how, choices)"
    />
    <p v-if="trouble" class="text-coral" role="alert">{{ trouble }}</p>
    <button type="submit" class="main-button" :disabled="palettes === 0">Begin</button>
  </form>
</template>
