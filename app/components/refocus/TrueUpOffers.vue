<script setup lang="ts">
/** What the touch-ups of this venue say of the rig, with what setting it would leave of each; set as one change. */
import { computed } from 'vue'
import { metresInWords } from '#core/geometry/lengthInWords'
import { trueUpOffers, type TrueUpOffer } from '#core/refocus/trueUpOffers'
import { numberOfFixture } from '#core/show/cells'
import type { Show } from '#core/show/show'
import { offInWords } from '../../composables/refocus/trueUpWords'
import { useProposal } from '../../stores/proposal'
import { useShow } from '../../stores/show'

const props = defineProps<{ show: Show }>()
const store = useShow()
const proposal = useProposal()
/** As they are, without what is proposed. */
const offers = computed(() => trueUpOffers(store.view ?? props.show))

function set({ off }: TrueUpOffer) {
  if (off.kind === 'hang') proposal.propose('trueUp', { kind: 'hang', hang: off.hang, error: off.error }, true)
  else proposal.propose('trueUp', { kind: 'fixture', fixture: off.fixture, error: off.error }, true)
}
const nameOf = (palette: string) => props.show.all.palette.get(palette)?.name ?? ''
</script>

<template>
  <section class="flex flex-col gap-3 p-4" aria-label="What the touch-ups say">
    <h2 class="font-semibold">What the touch-ups say</h2>
    <p v-if="offers.length === 0" class="text-mist">
      Nothing about the rig yet. When several of a hang agree that it hangs otherwise than it is drawn, it is said here.
    </p>
    <article
      v-for="offer in offers"
      :key="JSON.stringify(offer.off)"
      class="flex flex-col gap-2 rounded-lg border border-rule-2 bg-plank p-3"
    >
      <h3 class="font-semibold">{{ offInWords(show, offer.off) }}.</h3>
      <p class="text-sm text-mist">
        Set it, and {{ offer.explained }} of {{ offer.touchUps }} touch-ups go below 2 cm and are taken away; heads that
        were touched up stay as they are turned.
      </p>
      <div class="max-h-56 overflow-y-auto" tabindex="0">
        <table class="w-full text-sm">
          <caption class="sr-only">
            How far each light misses its place, before and after
          </caption>
          <thead class="text-left text-xs text-haze">
            <tr>
              <th class="font-normal">palette</th>
              <th class="font-normal">fixture</th>
              <th class="text-right font-normal">now</th>
              <th class="text-right font-normal">then</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="one in offer.residuals" :key="`${one.palette} ${one.fixture}`">
              <td class="max-w-32 truncate">{{ nameOf(one.palette) }}</td>
              <td class="font-mono">{{ numberOfFixture(show, one.fixture) }}</td>
              <td class="text-right font-mono text-mist">{{ metresInWords(one.before) }}</td>
              <td class="text-right font-mono" :class="one.after < 0.02 ? 'text-kelp' : 'text-brass'">
                {{ metresInWords(one.after) }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <button type="button" class="main-button py-1.5" @click="set(offer)">See what follows</button>
    </article>
  </section>
</template>
