<script setup lang="ts">
/** Takes fixtures out, after saying which groups, palettes and cues lean on them. */
import { computed } from 'vue'
import type { FixtureId } from '#core/show/ids'
import { cueNumbersInWords, dependentsInWords, dependentsOfFixtures } from '#core/show/dependents'
import type { Show } from '#core/show/show'
import { useCommit } from '../../composables/forms/useCommit'
import RemovalBox from './RemovalBox.vue'

const props = defineProps<{ show: Show; fixtures: readonly FixtureId[] }>()
const emit = defineEmits<{ back: [] }>()
const { keep } = useCommit()

const leaning = computed(() => dependentsOfFixtures(props.show, new Set(props.fixtures)))
const who = computed(() => {
  const [only] = props.fixtures
  return props.fixtures.length === 1 && only
    ? `fixture ${props.show.all.fixture.get(only)?.number ?? ''}`
    : `${props.fixtures.length} fixtures`
})
const warning = computed(() => {
  const words = dependentsInWords(leaning.value)
  return words ? `${words} lean on ${who.value}; what they hold for them goes too.` : `Nothing leans on ${who.value}.`
})
const names = computed(() => {
  const { all } = props.show
  const named = (ids: readonly string[], of: ReadonlyMap<string, { readonly name: string }>) =>
    ids.map((id) => of.get(id)?.name ?? '').join(', ')
  return [
    { what: 'Groups', which: named(leaning.value.groups, all.group) },
    { what: 'Palettes', which: named(leaning.value.palettes, all.palette) },
    { what: 'Cues', which: cueNumbersInWords(props.show, leaning.value.cues) },
  ].filter(({ which }) => which)
})
</script>

<template>
  <RemovalBox
    :title="`Take out ${who}`"
    :warning="warning"
    :act="`Take out ${who}`"
    :remove="() => keep('deleteFixtures', { fixtures: [...fixtures] })"
    @back="emit('back')"
    @done="emit('back')"
  >
    <dl v-if="names.length" class="grid max-h-40 grid-cols-[auto_1fr] gap-x-3 gap-y-1 overflow-y-auto text-sm">
      <template v-for="row in names" :key="row.what">
        <dt class="text-haze">{{ row.what }}</dt>
        <dd class="text-mist">{{ row.which }}</dd>
      </template>
    </dl>
  </RemovalBox>
</template>
