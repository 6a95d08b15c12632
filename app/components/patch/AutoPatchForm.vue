<script setup lang="ts">
/** Patches by rule: one after the other from an address, nothing taken, nothing over the end. */
import { computed, reactive, ref } from 'vue'
import { wholesAmong } from '#core/show/cells'
import type { FixtureId } from '#core/show/ids'
import { rigOf } from '#core/show/rig'
import type { Show } from '#core/show/show'
import { numberTyped } from '#core/show/numberTyped'
import { useDraftForm } from '../../composables/forms/useDraftForm'

const props = defineProps<{ show: Show; selected: readonly FixtureId[] }>()
const APART = [
  { key: 'never', name: 'only when one is full' },
  { key: 'by hang', name: 'for each hang' },
  { key: 'by type', name: 'for each type' },
] as const
const ORDERS = [
  { key: 'number', name: 'by number' },
  { key: 'hang', name: 'by hang, along it' },
  { key: 'selection', name: 'as selected' },
] as const
type Apart = (typeof APART)[number]['key']
type Order = (typeof ORDERS)[number]['key']

const apart = ref<Apart | null>('never')
const order = ref<Order | null>('number')
const draft = reactive({ universe: '1', address: '1', gap: '0' })

const unpatched = computed(() =>
  [...rigOf(props.show).values()].filter(({ fixture, bar }) => bar === null && fixture.address === null),
)
const fixtures = computed<FixtureId[]>(() => {
  const chosen =
    props.selected.length > 0 ? wholesAmong(props.show, props.selected) : unpatched.value.map(({ id }) => id)
  if (order.value === 'selection') return [...chosen]
  const rigged = chosen.flatMap((id) => rigOf(props.show).get(id) ?? [])
  const hangName = (hang: string) => props.show.all.hang.get(hang)?.name ?? ''
  return rigged
    .sort((a, b) =>
      order.value === 'hang'
        ? hangName(a.place.hang).localeCompare(hangName(b.place.hang)) || a.place.along - b.place.along
        : a.fixture.number - b.fixture.number,
    )
    .map(({ id }) => id)
})
const { troubleAt, label, send } = useDraftForm(
  'patchFixtures',
  () =>
    fixtures.value.length === 0
      ? null
      : {
          fixtures: fixtures.value,
          universe: numberTyped(draft.universe) ?? NaN,
          address: numberTyped(draft.address) ?? NaN,
          gap: numberTyped(draft.gap) ?? NaN,
          apart: apart.value ?? 'never',
        },
  () => undefined,
)
const who = computed(() => {
  const count = fixtures.value.length
  if (props.selected.length > 0) return `${count} selected`
  return count === 0 ? 'Every fixture is patched. Select some to patch them anew.' : `${count} not patched yet`
})
const FIELDS = ['universe', 'address', 'gap']
</script>

<template>
  <form class="flex flex-col gap-2.5" aria-label="Patch by rule" @submit.prevent="send">
    <p class="text-sm text-mist">{{ who }}</p>
    <div class="grid grid-cols-3 gap-2">
      <DraftText v-model="draft.universe" label="From universe" :trouble="troubleAt('universe')" />
      <DraftText v-model="draft.address" label="Address" :trouble="troubleAt('address')" />
      <DraftText v-model="draft.gap" label="Spare between" :trouble="troubleAt('gap')" />
    </div>
    <DraftChoice v-model="order" label="In order" :options="ORDERS" />
    <DraftChoice v-model="apart" label="A new universe" :options="APART" />
    <p v-if="troubleAt(null, FIELDS)" class="text-sm text-coral" role="alert">{{ troubleAt(null, FIELDS) }}</p>
    <p v-if="label" class="text-sm text-haze">This will {{ label }}. Addresses others have are stepped over.</p>
    <button type="submit" class="main-button py-1.5" :disabled="fixtures.length === 0">
      Patch {{ fixtures.length || '' }}
    </button>
  </form>
</template>
