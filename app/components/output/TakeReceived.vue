<script setup lang="ts">
/** Takes what comes in into the hand: which families, of whom, linked and tied to the stage or as it came. */
import { computed, ref } from 'vue'
import { FAMILIES, type Family } from '#core/attributes/families'
import type { CommandInput } from '#core/commands/registry'
import { useCommit } from '../../composables/forms/useCommit'
import { capitalised } from '../../composables/forms/capitalised'
import { useInputRoom } from '../../stores/inputRoom'
import { useSelection } from '../../stores/selection'

const room = useInputRoom()
const selection = useSelection()
const { keep } = useCommit()
const families = ref<ReadonlySet<Family>>(new Set(FAMILIES))
const AS = ['linked and tied', 'as it came'] as const
const as = ref<(typeof AS)[number]>('linked and tied')
const trouble = ref<string | null>(null)

function toggle(family: Family) {
  const next = new Set(families.value)
  if (!next.delete(family)) next.add(family)
  families.value = next
}
const whom = computed(() => {
  const { length } = selection.fixtures
  if (length === 0) return 'all fixtures'
  return length === 1 ? 'the selected fixture' : `the ${length} selected`
})

type Received = CommandInput<'takeReceived'>['received']
function received(): Received {
  return [...room.values].flatMap(([fixture, values]) =>
    [...values].flatMap(([attribute, value]): Received =>
      value.kind === 'angles' || value.kind === 'number' || value.kind === 'spin' || value.kind === 'parts'
        ? [{ fixture, attribute, value }]
        : [],
    ),
  )
}
async function take() {
  trouble.value = await keep('takeReceived', {
    families: FAMILIES.filter((family) => families.value.has(family)),
    fixtures: selection.fixtures.length > 0 ? [...selection.fixtures] : null,
    as: as.value === 'as it came' ? 'loose' : 'link',
    received: received(),
  })
}
</script>

<template>
  <section class="flex flex-col gap-2 border-t border-rule pt-3" aria-label="Take into the hand">
    <h3 class="font-semibold">Take into the hand</h3>
    <div class="flex flex-wrap gap-1" role="group" aria-label="Families">
      <button
        v-for="family in FAMILIES"
        :key="family"
        type="button"
        class="chip px-2"
        :class="families.has(family) ? 'chip-on' : ''"
        :aria-pressed="families.has(family)"
        @click="toggle(family)"
      >
        {{ capitalised(family) }}
      </button>
    </div>
    <RadioChips v-model="as" label="As" :options="AS" />
    <p class="text-sm text-haze">
      {{
        as === 'as it came'
          ? 'Angles and levels just as they come in.'
          : 'Where a palette gives the same it is linked; other places are aims where the light lands.'
      }}
    </p>
    <p v-if="trouble" class="text-sm text-coral" role="alert">{{ trouble }}</p>
    <button
      type="button"
      class="main-button py-1.5"
      :disabled="families.size === 0 || room.values.size === 0"
      @click="take"
    >
      Take {{ whom }}
    </button>
  </section>
</template>
