<script setup lang="ts">
/** Numbers the selected fixtures anew, in the order they were selected. */
import { computed, reactive } from 'vue'
import type { FixtureId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { numberTyped } from '#core/show/numberTyped'
import { useDraftForm } from '../../composables/forms/useDraftForm'

const props = defineProps<{ show: Show; fixtures: readonly FixtureId[] }>()
const emit = defineEmits<{ done: [] }>()
const first = computed(() => props.show.all.fixture.get(props.fixtures[0] ?? '')?.number ?? 1)
const draft = reactive({ from: String(first.value), step: '1' })
const { label, troubleAt, send } = useDraftForm(
  'renumberFixtures',
  () => ({
    fixtures: [...props.fixtures],
    numberFrom: numberTyped(draft.from) ?? NaN,
    step: numberTyped(draft.step) ?? NaN,
  }),
  () => emit('done'),
)
</script>

<template>
  <form
    class="flex flex-col gap-2 rounded-lg border border-rule bg-plank p-3"
    aria-label="Renumber"
    @submit.prevent="send"
  >
    <div class="grid grid-cols-2 gap-2">
      <DraftText v-model="draft.from" label="First number" :trouble="troubleAt('numberFrom') ?? troubleAt('number')" />
      <DraftText v-model="draft.step" label="Step" :trouble="troubleAt('step')" />
    </div>
    <p v-if="troubleAt(null, ['numberFrom', 'step', 'number'])" class="text-sm text-coral" role="alert">
      {{ troubleAt(null, ['numberFrom', 'step', 'number']) }}
    </p>
    <p class="text-sm text-haze">In the order of selection. {{ label && `This will ${label}.` }}</p>
    <button type="submit" class="quiet-button py-1">Renumber</button>
  </form>
</template>
