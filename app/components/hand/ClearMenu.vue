<script setup lang="ts">
/** Clears in steps, and says of each what goes. */
import { computed } from 'vue'
import { listInWords } from '#core/show/listInWords'
import { familyOf } from '#core/attributes/attribute'
import { FAMILIES, type Family } from '#core/attributes/families'
import { useHand } from '../../composables/hand/useHand'
import { useActions } from '../../composables/keys/useActions'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'
import { useWorkingSet } from '../../stores/workingSet'
import FloatingPanel from '../shell/FloatingPanel.vue'
import { counted } from '#core/show/counted'
import { capitalised } from '../../composables/forms/capitalised'

const store = useShow()
const selection = useSelection()
const hand = useHand()
const workingSet = useWorkingSet()

const fixturesIn = (family: Family) =>
  new Set(hand.held.value.filter(({ attribute }) => familyOf(attribute) === family).map(({ fixture }) => fixture)).size

/** What the selected fixtures have in hand. */
const ofSelection = computed(() => {
  const held = hand.held.value.filter(({ fixture }) => selection.order.has(fixture))
  const families = FAMILIES.filter((family) => held.some(({ attribute }) => familyOf(attribute) === family))
  const fixtures = new Set(held.map(({ fixture }) => fixture)).size
  return fixtures > 0 && fixtures < hand.fixtureCount.value
    ? `${listInWords(families)} of ${counted(fixtures, 'fixture')}`
    : null
})
const steps = computed(() => [
  ...(selection.whole.length > 0
    ? [
        {
          name: 'Selection',
          what: `${counted(selection.whole.length, 'fixture')}, the hand stays`,
          act: selection.clear,
        },
      ]
    : []),
  ...(ofSelection.value
    ? [{ name: 'Of the selection', what: ofSelection.value, act: () => clear([...FAMILIES], [...selection.fixtures]) }]
    : []),
  ...hand.families.value.map((family) => ({
    name: capitalised(family),
    what: counted(fixturesIn(family), 'fixture'),
    act: () => clear([family], touchable()),
  })),
  ...(hand.held.value.length > 0
    ? [{ name: 'Everything', what: hand.inWords.value, act: () => clear([...FAMILIES], touchable()) }]
    : []),
])

/** With a working set on, only its fixtures; null for all. */
function touchable() {
  return workingSet.members && [...workingSet.members]
}

useActions({
  clear: () => {
    if (hand.held.value.length > 0) clear([...FAMILIES], touchable())
  },
})

function clear(families: Family[], fixtures: (typeof selection.fixtures)[number][] | null) {
  void store.send('clearHand', { families, fixtures })
}
</script>

<template>
  <FloatingPanel class="shrink-0" button-class="quiet-button" panel-class="w-72" :disabled="steps.length === 0">
    <template #button>Clear</template>
    <template #default="{ close }">
      <button
        v-for="step in steps"
        :key="step.name"
        type="button"
        class="flex w-full items-baseline gap-3 rounded px-2 py-1 text-left hover:bg-plank-2"
        @click="(step.act(), close())"
      >
        <span class="shrink-0 font-semibold">{{ step.name }}</span>
        <span class="min-w-0 truncate text-sm text-mist">{{ step.what }}</span>
      </button>
    </template>
  </FloatingPanel>
</template>
