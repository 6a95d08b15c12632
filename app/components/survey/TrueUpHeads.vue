<script setup lang="ts">
/** The hangs of the venue in play with their heads: how often each was seen, and how exactly it comes to its aims. */
import { numberOfFixture } from '#core/show/cells'
import type { Show } from '#core/show/show'
import type { HeadTruth } from '#core/survey/hangTruth'
import { centimetres, proposalInWords } from '../../composables/refocus/surveyWords'
import { useTrueUp } from '../../stores/trueUp'

defineProps<{ show: Show }>()
const room = useTrueUp()
const counting = ({ sightings }: HeadTruth) => sightings.filter(({ sighting }) => sighting.counts).length
function take({ rigged }: HeadTruth) {
  const [first] = room.surveyed
  const target = room.target ?? first
  if (target) void room.steer(rigged.id, target.id)
}
</script>

<template>
  <div class="flex min-h-0 flex-col">
    <h2 class="border-b border-rule px-4 py-2 font-semibold">Hangs</h2>
    <div class="min-h-0 flex-1 overflow-y-auto">
      <section v-for="hang in room.hangs" :key="hang.id" class="border-b border-rule/60">
        <button
          type="button"
          class="flex w-full items-baseline gap-2 px-4 py-2 text-left"
          :class="room.hang?.id === hang.id ? 'bg-plank-2 shadow-[inset_3px_0_0_var(--color-coral)]' : 'hover:bg-plank'"
          :aria-expanded="room.hang?.id === hang.id"
          @click="room.look(hang.id)"
        >
          <span class="truncate font-semibold">{{ hang.name }}</span>
          <span class="ml-auto shrink-0 text-sm text-haze">
            {{ hang.heads.length }} heads<template v-if="hang.sightings">, {{ hang.sightings }} seen</template>
          </span>
        </button>
        <template v-if="room.hang?.id === hang.id && room.truth">
          <div v-if="room.next" class="flex flex-col items-start gap-2 bg-plank px-4 py-2 text-sm">
            <p class="text-mist">{{ proposalInWords(show, room.next) }}</p>
            <button type="button" class="chip" @click="room.steer(room.next.fixture, room.next.target)">Take it</button>
          </div>
          <table class="w-full text-sm">
            <caption class="sr-only">
              Heads of
              {{
                hang.name
              }}
            </caption>
            <thead class="text-left text-xs text-haze">
              <tr>
                <th class="py-1 pl-4 font-normal">head</th>
                <th class="font-normal">sightings</th>
                <th class="pr-4 text-right font-normal">sure within</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="one in room.truth.heads" :key="one.rigged.id">
                <td class="pl-3">
                  <button
                    type="button"
                    class="my-0.5 rounded px-1.5 font-mono hover:bg-plank"
                    :class="room.head?.rigged.id === one.rigged.id ? 'bg-plank-2 text-coral' : ''"
                    :disabled="room.surveyed.length === 0"
                    :aria-pressed="room.head?.rigged.id === one.rigged.id"
                    @click="take(one)"
                  >
                    {{ numberOfFixture(show, one.rigged.id) }}
                  </button>
                </td>
                <td class="font-mono">{{ counting(one) || '–' }}</td>
                <td class="pr-4 text-right font-mono" :class="one.suspicion ? 'text-coral' : 'text-mist'">
                  {{ one.suspicion ? 'suspect' : centimetres(one.sureMetres) }}
                </td>
              </tr>
            </tbody>
          </table>
        </template>
      </section>
      <p v-if="room.hangs.length === 0" class="px-4 py-3 text-sm text-mist">No heads hang in this venue.</p>
    </div>
  </div>
</template>
