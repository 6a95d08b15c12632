<script setup lang="ts">
/** Takes a hang out: its fixtures move to another hang or go with it, and what leans on them is said first. */
import { computed, ref } from 'vue'
import { dependentsInWords, dependentsOfFixtures } from '#core/show/dependents'
import { hangsOf, type RiggedHang } from '#core/show/rig'
import { asHangId, type FixtureId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useCommit } from '../../composables/forms/useCommit'
import RemovalBox from './RemovalBox.vue'
import { counted } from '#core/show/counted'

const props = defineProps<{ show: Show; hang: RiggedHang }>()
const emit = defineEmits<{ back: [] }>()
const { keep } = useCommit()

const on = computed<readonly FixtureId[]>(() => [
  ...new Set([...props.show.all.fixturePlace.values()].filter((p) => p.hang === props.hang.id).map((p) => p.fixture)),
])
const leaning = computed(() => dependentsInWords(dependentsOfFixtures(props.show, new Set(on.value))))
const others = computed(() => [
  { key: 'delete', name: 'goes with it' },
  ...hangsOf(props.show)
    .filter(({ id }) => id !== props.hang.id)
    .map(({ id, hang }) => ({ key: `${id}`, name: `moves to ${hang.name}` })),
])
const fate = ref<string | null>('delete')
const warning = computed(() => {
  if (on.value.length === 0) return `${props.hang.hang.name} is empty. Nothing else changes.`
  const fixtures = `${counted(on.value.length, 'fixture hangs', 'fixtures hang')} on it`
  return leaning.value ? `${fixtures}. ${leaning.value} lean on them.` : `${fixtures}. Nothing leans on them.`
})

function remove() {
  const to = fate.value
  const move =
    to === null || to === 'delete' ? ({ kind: 'delete' } as const) : ({ kind: 'move', to: asHangId(to) } as const)
  return keep('deleteHang', { hang: props.hang.id, fixtures: on.value.length === 0 ? null : move })
}
</script>

<template>
  <RemovalBox
    :title="`Take out ${hang.hang.name}`"
    :warning="warning"
    :act="`Take out ${hang.hang.name}`"
    :remove="remove"
    @back="emit('back')"
    @done="emit('back')"
  >
    <DraftChoice v-if="on.length" v-model="fate" label="What hangs on it" :options="others" />
  </RemovalBox>
</template>
