<script setup lang="ts">
/** How a cue moves: what is seen of it, how fast its heads turn, and what is wrong. */
import { group } from 'd3-array'
import { computed } from 'vue'
import { lengthOf } from '#core/cues/times'
import type { CueInOrder } from '#core/cues/tracking'
import { travelOf } from '#core/cues/travel'
import { numbersInWords } from '#core/selection/written'
import { counted } from '#core/show/counted'
import type { Show } from '#core/show/show'
import { bentIn } from '#core/travel/bent'
import { travelInWords } from '#core/cues/travel'
import { useCuesRoom } from '../../stores/cuesRoom'
import { useTravelCheck } from '../../stores/travelCheck'
import { useTravelView } from '../../stores/travelView'
import CueMotors from '../cues/CueMotors.vue'
import CueRemedies from '../cues/CueRemedies.vue'
import CueSweeps from '../cues/CueSweeps.vue'
import SpeedChart from './SpeedChart.vue'

const props = defineProps<{ show: Show; cue: CueInOrder }>()
const room = useCuesRoom()
const view = useTravelView()
const check = useTravelCheck()

/** Who is to go straight and cannot. */
const bent = computed(() => {
  const all = view.turning.flatMap((step) => {
    const found = bentIn(step)
    return found ? [{ ...found, fixture: step.to.rigged.id }] : []
  })
  return [...group(all, ({ why }) => why)].map(([why, these]) => {
    const who = numbersInWords(
      props.show,
      these.map(({ fixture }) => fixture),
    )
    const until = Math.min(...these.map(({ seconds }) => seconds)).toFixed(1)
    return why === 'lands nowhere'
      ? `${who} by angle: their light lands nowhere to go straight from or to.`
      : these.length === 1
        ? `${who} by angle: it ends the other way round. Straight it gets no further than ${until} s; turn it over in an earlier cue, or look under Ways round.`
        : `${who} by angle: they end the other way round. Straight they get no further than ${until} s; turn them over in an earlier cue, or look under Ways round.`
  })
})

const says = computed(() => travelOf(props.show, props.cue.id))
const darkInWords = (many: number, isMore: boolean) =>
  isMore ? `${many} in the dark` : `${counted(many, 'fixture')} ${many === 1 ? 'moves' : 'move'} in the dark`
const summary = computed(() => {
  const { seen, turning } = view
  const dark = turning.length - seen.length
  if (turning.length === 0) return 'No head turns in this cue.'
  const seconds = Number(lengthOf(props.show, props.cue.id).toFixed(1))
  const parts = [
    seen.length > 0
      ? `${counted(seen.length, 'fixture')} ${seen.length === 1 ? 'moves' : 'move'} while lit, in ${seconds} s`
      : '',
    dark > 0 ? darkInWords(dark, seen.length > 0) : '',
  ].filter((part) => part !== '')
  const faults = check.openFaultsOf(props.cue.id)
  const late = faults.filter(({ tooFast }) => tooFast).length
  const sweeping = faults.filter(({ sweeps }) => sweeps.length > 0).length
  const wrong = [late > 0 ? `${late} cannot keep up` : '', sweeping > 0 ? `${sweeping} sweep what is kept clear` : '']
  return [`${parts.join(', ')}.`, wrong.filter((part) => part !== '').map((part) => `${part}.`)].flat().join(' ')
})
</script>

<template>
  <div class="flex flex-col">
    <header class="border-b border-rule px-4 py-3">
      <h2 class="text-xl font-semibold">
        <span class="text-coral">{{ cue.cue.number }}</span> {{ cue.cue.name || 'No name' }}
      </h2>
      <p class="text-mist">{{ summary }}</p>
      <p v-for="line in bent" :key="line" class="text-sm text-coral">{{ line }}</p>
      <p class="mt-1 flex items-baseline justify-between text-sm text-haze">
        <span>{{ travelInWords(says.travel) }}, as the {{ says.said }} says</span>
        <button
          type="button"
          class="text-mist underline decoration-rule-2 hover:text-sail"
          @click="room.view = 'sheet'"
        >
          Whole cue
        </button>
      </p>
    </header>
    <SpeedChart v-if="view.shown.length" :show="show" />
    <CueMotors :show="show" :cue="cue.id" />
    <CueSweeps :show="show" :cue="cue.id" />
    <CueRemedies :show="show" :cue="cue.id" />
  </div>
</template>
