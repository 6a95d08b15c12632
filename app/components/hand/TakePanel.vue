<script setup lang="ts">
/** Takes values into the hand: from the stage, from a cue, from another fixture. What would come is seen first. */
import { Import } from '@lucide/vue'
import { computed, nextTick, onUnmounted, ref, watch } from 'vue'
import type { Outcome } from '#core/commands/command'
import type { CommandInput } from '#core/commands/registry'
import { listsInOrder } from '#core/cues/tracking'
import { FAMILIES, type Family } from '#core/attributes/families'
import { fixtureNumber } from '#core/show/cells'
import { asCueId } from '#core/show/ids'
import { rigOf } from '#core/show/rig'
import type { Show } from '#core/show/show'
import { useStage, type HandChange, type Trial } from '../../stores/stage'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'
import { capitalised } from '../../composables/forms/capitalised'

const props = defineProps<{ show: Show; close: () => void }>()
const store = useShow()
const stage = useStage()
const selection = useSelection()

type Source = 'stage' | 'cue' | 'fixture'
const SOURCES: Readonly<Record<Source, string>> = { stage: 'Stage', cue: 'Cue', fixture: 'Fixture' }
const source = ref<Source>('stage')
const families = ref<readonly Family[]>([...FAMILIES])
const as = ref<'link' | 'loose'>('link')
const cue = ref('')
const number = ref('')
/** What this panel shows on the stage. */
let mine: Trial | null = null

const cues = computed(() =>
  listsInOrder(props.show).flatMap(({ list, cues: inList }) =>
    inList.map(({ id, cue: { number: n, name } }) => ({ id, name: `${list.name} ${n} ${name}` })),
  ),
)
const fixture = computed(() =>
  [...rigOf(props.show).values()].find((rigged) => fixtureNumber(rigged.fixture) === number.value.trim()),
)
/** Without a selection the stage or a cue gives all it holds. */
const fixtures = computed(() => (selection.fixtures.length > 0 ? [...selection.fixtures] : null))

/** Something that can be asked for: what it would do, and how it is shown on the stage. */
interface Wish {
  readonly outcome: Outcome
  readonly show: () => Trial
}

function wishFor<N extends HandChange>(name: N, input: CommandInput<N>): Wish {
  const ids = fixtures.value ?? [...rigOf(props.show).keys()]
  return { outcome: store.attempt(name, input), show: () => stage.tryOut(ids, name, input) }
}

/** What is asked for, or what is still missing for it. */
const wish = computed<Wish | string>(() => {
  const choice = { families: [...families.value], fixtures: fixtures.value, as: as.value }
  if (families.value.length === 0) return 'Choose at least one family.'
  if (source.value === 'stage') return wishFor('takeFromStage', choice)
  if (source.value === 'cue')
    return cue.value ? wishFor('takeFromCue', { ...choice, cue: asCueId(cue.value) }) : 'Choose a cue.'
  if (!fixtures.value) return 'Select the fixtures that are to have it.'
  if (!fixture.value) return 'Type the number of the fixture to copy from.'
  const from = fixture.value.id
  return wishFor('copyValues', { from, to: fixtures.value, families: choice.families, as: as.value })
})
const outcome = computed(() => (typeof wish.value === 'string' ? null : wish.value.outcome))
const words = computed(() => {
  if (typeof wish.value === 'string') return wish.value
  if (!outcome.value) return ''
  if (!outcome.value.ok) return outcome.value.refusal.message
  if (outcome.value.changes.length === 0) return 'All of it is in hand already.'
  return `${capitalised(outcome.value.label)}.`
})
const isReady = computed(() => outcome.value?.ok === true && outcome.value.changes.length > 0)

watch(
  wish,
  (asked) => {
    if (typeof asked === 'string') stage.endTrial(mine)
    else mine = asked.show()
  },
  { immediate: true },
)
onUnmounted(() => stage.endTrial(mine))

function toggle(family: Family) {
  families.value = families.value.includes(family)
    ? families.value.filter((other) => other !== family)
    : [...families.value, family]
}

/** Takes one family and no other, at once. */
function takeOnly(family: Family) {
  families.value = [family]
  if (isReady.value) void nextTick(commit)
}

function commit() {
  void stage.commitTrial()
  // At once: closing gives the focus back, and nobody should lose it while typing what comes next.
  props.close()
}
</script>

<template>
  <form class="flex flex-col gap-2" aria-label="Take into the hand" @submit.prevent="commit">
    <div class="flex gap-1" role="radiogroup" aria-label="Take from">
      <button
        v-for="(name, from) in SOURCES"
        :key="from"
        type="button"
        role="radio"
        class="chip flex-1"
        :class="source === from ? 'chip-on' : ''"
        :aria-checked="source === from"
        @click="source = from"
      >
        {{ name }}
      </button>
    </div>
    <select v-model="cue" class="field font-sans" aria-label="Cue" @change="source = 'cue'">
      <option value="">Which cue …</option>
      <option v-for="option in cues" :key="option.id" :value="option.id">{{ option.name }}</option>
    </select>
    <input
      v-if="source === 'fixture'"
      v-model="number"
      class="field"
      inputmode="numeric"
      placeholder="Number"
      aria-label="Number of the fixture to copy from"
    />
    <div class="grid grid-cols-3 gap-1">
      <button
        v-for="family in FAMILIES"
        :key="family"
        type="button"
        class="chip first-letter:uppercase"
        :class="families.includes(family) ? 'border-kelp' : 'text-haze line-through'"
        :aria-pressed="families.includes(family)"
        @click="toggle(family)"
      >
        {{ capitalised(family) }}
      </button>
    </div>
    <div class="flex flex-wrap items-center gap-x-2.5 gap-y-1 text-sm text-mist">
      <button
        type="button"
        class="underline hover:text-sail"
        @click="families = FAMILIES.filter((family) => family !== 'position')"
      >
        All but position
      </button>
      <span class="ml-auto">Take only</span>
      <button
        v-for="family in FAMILIES"
        :key="family"
        type="button"
        class="underline hover:text-sail"
        :aria-label="`Take only ${family}`"
        @click="takeOnly(family)"
      >
        {{ family }}
      </button>
    </div>
    <div class="flex gap-1" role="radiogroup" aria-label="Take it as">
      <button
        v-for="(name, kind) in { link: 'As links', loose: 'As loose values' } as const"
        :key="kind"
        type="button"
        role="radio"
        class="chip flex-1"
        :class="as === kind ? 'chip-on' : ''"
        :aria-checked="as === kind"
        @click="as = kind"
      >
        {{ name }}
      </button>
    </div>
    <p class="flex items-start gap-1.5 text-sm" :class="isReady ? 'text-mist' : 'text-coral'" role="status">
      <Import :size="13" class="mt-0.5 shrink-0" aria-hidden="true" />{{ words }}
    </p>
    <button type="submit" class="main-button py-1.5" :disabled="!isReady">Take into the hand</button>
  </form>
</template>
