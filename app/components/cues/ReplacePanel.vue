<script setup lang="ts">
/** Find and replace: this palette by that in cues, this fixture by that in the whole show. */
import { computed, ref } from 'vue'
import { palettesInOrder } from '#core/palettes/resolve'
import { cueCounts } from '#core/palettes/use'
import { fixtureNumber } from '#core/show/cells'
import { asPaletteId, asFixtureId } from '#core/show/ids'
import { rigOf } from '#core/show/rig'
import type { Show } from '#core/show/show'
import { useCuesRoom } from '../../stores/cuesRoom'
import { useMessages } from '../../stores/messages'
import { useProposal } from '../../stores/proposal'
import RadioChips from '../fields/RadioChips.vue'

const props = defineProps<{ show: Show }>()
const room = useCuesRoom()
const proposal = useProposal()
const messages = useMessages()

const WHAT = ['a palette', 'a fixture'] as const
const IN = ['everywhere', 'the chosen cells'] as const
const what = ref<(typeof WHAT)[number]>('a palette')
const within = ref<(typeof IN)[number]>('everywhere')
const from = ref('')
const to = ref('')
const numbers = ref({ from: '', to: '' })

const palettes = computed(() => palettesInOrder(props.show))
const used = computed(() => palettes.value.filter(({ id }) => (cueCounts(props.show).get(id) ?? 0) > 0))
const isReady = computed(() =>
  what.value === 'a palette'
    ? from.value !== '' && to.value !== ''
    : numbers.value.from !== '' && numbers.value.to !== '',
)

function fixtureOf(text: string) {
  return [...rigOf(props.show).values()].find(({ fixture }) => fixtureNumber(fixture) === text.trim())
}

function replace() {
  if (what.value === 'a palette') {
    const cells = within.value === 'the chosen cells' ? room.cells : null
    if (within.value === 'the chosen cells' && !cells)
      return messages.say('Choose cells in the sheet first: drag over them.', 'trouble')
    void proposal.offerOrSay('replacePaletteInCues', {
      from: asPaletteId(from.value),
      to: asPaletteId(to.value),
      cues: cells && [...cells.cues],
      fixtures: cells && [...cells.fixtures],
    })
    return
  }
  const [one, other] = [fixtureOf(numbers.value.from), fixtureOf(numbers.value.to)]
  if (!one || !other) return messages.say('Type the numbers of two fixtures that hang here.', 'trouble')
  void proposal.offerOrSay('replaceFixture', { from: asFixtureId(one.id), to: asFixtureId(other.id) })
}
</script>

<template>
  <form class="flex flex-col gap-3 px-4 py-3" aria-label="Find and replace" @submit.prevent="replace">
    <div class="flex items-baseline justify-between">
      <h2 class="text-lg font-semibold">Find and replace</h2>
      <button type="button" class="text-sm text-mist underline hover:text-sail" @click="room.panel = 'detail'">
        Close
      </button>
    </div>
    <RadioChips v-model="what" label="What is replaced" :options="WHAT" />
    <template v-if="what === 'a palette'">
      <label
        ><span class="block text-xs text-haze">where this palette stands</span>
        <select v-model="from" class="field font-sans">
          <option value="">which …</option>
          <option v-for="{ id, palette } in used" :key="id" :value="id">
            {{ palette.number }} {{ palette.name }} ({{ cueCounts(show).get(id) }} cues)
          </option>
        </select>
      </label>
      <label
        ><span class="block text-xs text-haze">put this one</span>
        <select v-model="to" class="field font-sans">
          <option value="">which …</option>
          <option v-for="{ id, palette } in palettes" :key="id" :value="id">
            {{ palette.number }} {{ palette.name }}
          </option>
        </select>
      </label>
      <div>
        <span class="block text-xs text-haze">in</span>
        <RadioChips v-model="within" label="Where" :options="IN" />
      </div>
    </template>
    <template v-else>
      <div class="flex gap-2">
        <label class="flex-1"
          ><span class="block text-xs text-haze">instead of fixture</span>
          <input v-model="numbers.from" class="field" inputmode="numeric" />
        </label>
        <label class="flex-1"
          ><span class="block text-xs text-haze">use fixture</span>
          <input v-model="numbers.to" class="field" inputmode="numeric" />
        </label>
      </div>
      <p class="text-sm text-mist">
        In cues, palettes, groups and hands. Aims keep their places and are solved anew; raw angles stay as they are.
      </p>
    </template>
    <button type="submit" class="main-button py-1.5" :disabled="!isReady">Show what it does</button>
  </form>
</template>
