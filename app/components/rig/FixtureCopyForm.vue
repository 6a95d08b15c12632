<script setup lang="ts">
/** Copies the selected fixtures to a hang, with new numbers and not patched. */
import { placeId } from '#core/show/compositeIds'
import { computed, reactive, ref } from 'vue'
import type { FixtureId, HangId } from '#core/show/ids'
import { hangsOf } from '#core/show/rig'
import { showRecordOf, type Show } from '#core/show/show'
import { nextNumber } from '#core/show/freeNumbers'
import { numberTyped } from '#core/show/numberTyped'
import { useDraftForm } from '../../composables/forms/useDraftForm'

const props = defineProps<{ show: Show; fixtures: readonly FixtureId[] }>()
const emit = defineEmits<{ done: [] }>()
const hangs = computed(() => hangsOf(props.show).map(({ id, hang }) => ({ key: id, name: hang.name })))
const own = props.show.all.fixturePlace.get(placeId(showRecordOf(props.show).venue, props.fixtures[0] ?? ''))?.hang
const hang = ref<HangId | null>(own ?? null)
const draft = reactive({ from: String(nextNumber(props.show.all.fixture.values())), by: '0.6' })
const { troubleAt, send } = useDraftForm(
  'copyFixtures',
  () =>
    hang.value && {
      fixtures: [...props.fixtures],
      numberFrom: numberTyped(draft.from) ?? NaN,
      hang: hang.value,
      by: numberTyped(draft.by) ?? NaN,
    },
  () => emit('done'),
)
</script>

<template>
  <form
    class="flex flex-col gap-2 rounded-lg border border-rule bg-plank p-3"
    aria-label="Copy fixtures"
    @submit.prevent="send"
  >
    <DraftChoice v-model="hang" label="Onto" :options="hangs" :trouble="troubleAt('hang')" />
    <div class="grid grid-cols-2 gap-2">
      <DraftText v-model="draft.by" label="Further along" unit="m" :trouble="troubleAt('by')" />
      <DraftText v-model="draft.from" label="Numbered from" :trouble="troubleAt('numberFrom')" />
    </div>
    <p v-if="troubleAt(null, ['hang', 'by', 'numberFrom'])" class="text-sm text-coral" role="alert">
      {{ troubleAt(null, ['hang', 'by', 'numberFrom']) }}
    </p>
    <button type="submit" class="quiet-button py-1">Copy {{ fixtures.length }}</button>
  </form>
</template>
