<script setup lang="ts">
/** The selected fixtures: what they share can be typed for all of them at once. */
import { placeId } from '#core/show/compositeIds'
import { computed, ref } from 'vue'
import type { FixtureChange } from '#core/commands/rig/changeFixtures'
import { asFixtureTypeId, asHangId, type FixtureId } from '#core/show/ids'
import { modesOf } from '#core/show/modes'
import { hangsOf } from '#core/show/rig'
import { showRecordOf, type Show } from '#core/show/show'
import { MOUNTINGS, mountingOf } from '../../composables/rig/rigWords'
import { useCommit } from '../../composables/forms/useCommit'
import FixtureCopyForm from './FixtureCopyForm.vue'
import FixtureRemovalForm from './FixtureRemovalForm.vue'
import FixtureNumberForm from './FixtureNumberForm.vue'

const props = defineProps<{ show: Show; fixtures: readonly FixtureId[] }>()
const { keep, offer } = useCommit()
const open = ref<'number' | 'copy' | 'removal' | null>(null)

const known = computed(() => props.fixtures.flatMap((id) => props.show.all.fixture.get(id) ?? []))
const places = computed(() => {
  const { venue } = showRecordOf(props.show)
  return props.fixtures.flatMap((id) => props.show.all.fixturePlace.get(placeId(venue, id)) ?? [])
})

/** What all have in common, or null. */
function shared<T, V>(all: readonly T[], of: (one: T) => V): V | null {
  const [first] = all
  if (first === undefined) return null
  const value = of(first)
  return all.every((one) => of(one) === value) ? value : null
}

const type = computed(() => shared(known.value, (f) => f.type))
const types = computed(() =>
  [...props.show.all.fixtureType].map(([id, { maker, name }]) => ({
    key: asFixtureTypeId(id),
    name: `${maker} ${name}`,
  })),
)
const modes = computed(() =>
  modesOf(props.show, type.value ?? '').map(({ id, mode }) => ({ key: id, name: mode.name })),
)
const hangs = computed(() => hangsOf(props.show).map(({ id, hang }) => ({ key: `${id}`, name: hang.name })))
const mounting = computed(() => shared(places.value, (p) => mountingOf(p.roll)))
const mountings = computed(() => [
  ...MOUNTINGS,
  ...(mounting.value === 'other' ? [{ key: 'other' as const, name: 'Rolled otherwise' }] : []),
])
const only = computed(() => (known.value.length === 1 ? known.value[0] : undefined))

function all(change: Omit<FixtureChange, 'fixture'>) {
  return offer('changeFixtures', { changes: props.fixtures.map((fixture) => ({ fixture, ...change })) })
}
const PLACING = [
  { field: 'along', label: 'Along', unit: 'm' },
  { field: 'out', label: 'Out', unit: 'm' },
  { field: 'drop', label: 'Drop', unit: 'm' },
  { field: 'yaw', label: 'Turned', unit: '°' },
  { field: 'pitch', label: 'Pitched', unit: '°' },
  { field: 'roll', label: 'Rolled', unit: '°' },
] as const
</script>

<template>
  <div class="grid grid-cols-2 gap-2">
    <NumberField v-if="only" label="Number" unit="" :value="only.number" :keep="(number) => all({ number })" />
    <TextField v-if="only" label="Name" :shown="only.name" :keep="(name) => all({ name })" />
    <ChoiceField label="Type" :value="type" :options="types" :keep="(key) => all({ type: key })" />
    <ChoiceField
      label="Mode"
      :value="shared(known, (f) => f.mode)"
      :options="modes"
      :disabled="type === null"
      :keep="(mode) => all({ mode })"
    />
    <ChoiceField
      label="Hangs on"
      :value="shared(places, (p) => `${p.hang}`)"
      :options="hangs"
      :keep="(hang) => all({ hang: asHangId(hang) })"
    />
    <ChoiceField
      label="Mounted"
      :value="mounting"
      :options="mountings"
      :keep="(key) => all({ roll: MOUNTINGS.find((m) => m.key === key)?.roll ?? 0 })"
    />
  </div>
  <div class="grid grid-cols-3 gap-2">
    <NumberField
      v-for="{ field, label, unit } in PLACING"
      :key="field"
      :label="label"
      :unit="unit"
      :digits="3"
      :value="shared(places, (p) => p[field])"
      :keep="(value) => all({ [field]: value })"
    />
  </div>
  <div class="grid grid-cols-2 gap-2">
    <NumberField
      label="Universe"
      unit=""
      placeholder="none"
      :value="shared(known, (f) => f.universe)"
      :keep="(universe) => all({ universe })"
    />
    <NumberField
      v-if="only"
      label="Address"
      unit=""
      placeholder="none"
      :value="only.address"
      :keep="(address) => all({ address })"
    />
  </div>
  <TextField
    v-if="only"
    label="Note"
    :shown="only.note"
    :keep="(note) => keep('changeFixtures', { changes: fixtures.map((fixture) => ({ fixture, note })) })"
  />
  <div class="flex flex-wrap gap-1.5">
    <button type="button" class="chip" :class="open === 'number' ? 'chip-on' : ''" @click="open = 'number'">
      Renumber
    </button>
    <button type="button" class="chip" :class="open === 'copy' ? 'chip-on' : ''" @click="open = 'copy'">Copy</button>
    <button type="button" class="chip" :class="open === 'removal' ? 'chip-on' : ''" @click="open = 'removal'">
      Take out
    </button>
  </div>
  <FixtureNumberForm v-if="open === 'number'" :show="show" :fixtures="fixtures" @done="open = null" />
  <FixtureCopyForm v-if="open === 'copy'" :show="show" :fixtures="fixtures" @done="open = null" />
  <FixtureRemovalForm v-if="open === 'removal'" :show="show" :fixtures="fixtures" @back="open = null" />
</template>
