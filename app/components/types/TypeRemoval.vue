<script setup lang="ts">
/** Takes a type out: its fixtures become another type or stay without one. */
import { computed, ref } from 'vue'
import { asFixtureTypeId, type FixtureTypeId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useCommit } from '../../composables/forms/useCommit'
import RemovalBox from '../rig/RemovalBox.vue'

const props = defineProps<{ show: Show; type: FixtureTypeId }>()
const emit = defineEmits<{ back: [] }>()
const { keep } = useCommit()
const name = computed(() => props.show.all.fixtureType.get(props.type)?.name ?? '')
const users = computed(() => [...props.show.all.fixture.values()].filter((f) => f.type === props.type).length)
const palettes = computed(
  () =>
    new Set([...props.show.all.paletteValue.values()].filter((v) => v.fixtureType === props.type).map((v) => v.palette))
      .size,
)
const fates = computed(() => [
  { key: 'none', name: 'stay without a type' },
  ...[...props.show.all.fixtureType]
    .filter(([id]) => id !== props.type)
    .map(([id, type]) => ({ key: id, name: `become ${type.name}` })),
])
const fate = ref<string | null>('none')
const warning = computed(() => {
  const uses = users.value === 0 ? 'No fixture is one.' : `${users.value} fixtures are ${name.value}.`
  return palettes.value === 0 ? uses : `${uses} What ${palettes.value} palettes hold for the type goes with it.`
})

function remove() {
  const to = fate.value
  const left =
    to === null || to === 'none'
      ? ({ kind: 'leave without' } as const)
      : ({ kind: 'change', to: asFixtureTypeId(to) } as const)
  return keep('deleteType', { type: props.type, fixtures: users.value === 0 ? null : left })
}
</script>

<template>
  <RemovalBox
    :title="`Take out ${name}`"
    :warning="warning"
    :act="`Take out ${name}`"
    :remove="remove"
    @back="emit('back')"
    @done="emit('back')"
  >
    <DraftChoice v-if="users" v-model="fate" label="Its fixtures" :options="fates" />
  </RemovalBox>
</template>
