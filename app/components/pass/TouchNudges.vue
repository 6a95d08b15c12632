<script setup lang="ts">
/** Beside the pad: what is worked on, its size, how far a nudge goes and what it counts for. */
import { watchDebounced } from '@vueuse/core'
import { computed, shallowRef } from 'vue'
import { fixtureNumber } from '#core/show/cells'
import { trueUpOffers, type TrueUpOffer } from '#core/refocus/trueUpOffers'
import type { Show } from '#core/show/show'
import { offInWords } from '../../composables/refocus/trueUpWords'
import { usePass } from '../../stores/pass'
import { NUDGES, usePassNudges } from '../../stores/passNudges'
import CorrectionSwitch from './CorrectionSwitch.vue'

const props = defineProps<{ show: Show }>()
const pass = usePass()
const nudges = usePassNudges()
/** A press makes a pool so much larger. */
const WIDER = 1.1

const worked = computed(() => {
  const one = pass.light.find(({ rigged }) => rigged.id === pass.fixture)
  if (!one) return null
  const { hang } = one.rigged.place
  const throwMetres = one.position.throwMetres
  const short = one.position.state === 'out of reach' ? `, ${one.position.shortDegrees.toFixed(1)}° short` : ''
  return {
    number: fixtureNumber(one.rigged.fixture),
    words: `from ${props.show.all.hang.get(hang)?.name ?? ''}${throwMetres === null ? '' : `, throw ${throwMetres.toFixed(1)} m`}${short}`,
  }
})
/** How long nothing changes before the touch-ups are asked what they say, milliseconds: it takes longer than a frame. */
const PATIENCE = 500
const offers = shallowRef<readonly TrueUpOffer[]>(trueUpOffers(props.show))
watchDebounced(
  () => props.show,
  (show) => (offers.value = trueUpOffers(show)),
  { debounce: PATIENCE },
)
/** What the touch-ups say of the hang that is worked on, or of the fixture. */
const hints = computed(() => {
  const hang = pass.light.find(({ rigged }) => pass.meant.includes(rigged.id))?.rigged.place.hang
  const isOf = ({ off }: TrueUpOffer) => (off.kind === 'hang' ? off.hang === hang : pass.meant.includes(off.fixture))
  return offers.value.filter(isOf).map(({ off }) => offInWords(props.show, off))
})
const mayResize = computed(() => nudges.mayCorrectForGood)
</script>

<template>
  <div class="flex flex-col gap-3">
    <p class="text-lg">
      <template v-if="worked"
        ><strong>{{ worked.number }}</strong> {{ worked.words }}</template
      >
      <template v-else>All {{ pass.meant.length }} together</template>
    </p>
    <div v-if="mayResize" class="grid grid-cols-2 gap-2" role="group" aria-label="Size, in every venue">
      <button type="button" class="quiet-button min-h-14 text-lg font-semibold" @click="nudges.resize(1 / WIDER)">
        Smaller
      </button>
      <button type="button" class="quiet-button min-h-14 text-lg font-semibold" @click="nudges.resize(WIDER)">
        Wider
      </button>
    </div>
    <div class="grid grid-cols-3 gap-2" role="radiogroup" aria-label="A nudge is">
      <button
        v-for="(by, i) in NUDGES.metres"
        :key="by"
        type="button"
        role="radio"
        class="quiet-button min-h-14 px-1 text-lg font-semibold"
        :class="nudges.size === i ? 'border-coral' : ''"
        :aria-checked="nudges.size === i"
        @click="nudges.size = i"
      >
        {{ by * 100 }} cm
      </button>
    </div>
    <CorrectionSwitch />
    <p v-for="hint in hints" :key="hint" class="text-base text-mist">
      The touch-ups agree: {{ hint }}. It can be set in the Refocus room.
    </p>
  </div>
</template>
