<script setup lang="ts">
/** What the sightings of a hang tell: the hang, each head, every sighting before and after; set as corrections or drawn. */
import { computed } from 'vue'
import { numberOfFixture } from '#core/show/cells'
import type { Show } from '#core/show/show'
import type { HangTruth, HeadTruth, JudgedSighting } from '#core/survey/hangTruth'
import { centimetres, hangInWords, headInWords, suspicionInWords } from '../../composables/refocus/surveyWords'
import { useTrueUp } from '../../stores/trueUp'

const props = defineProps<{ show: Show; truth: HangTruth }>()
const room = useTrueUp()
const seen = computed(() => props.truth.heads.filter(({ sightings }) => sightings.length > 0))
const name = computed(() => props.show.all.hang.get(props.truth.hang)?.name ?? '')
const targetOf = ({ sighting }: JudgedSighting) => props.show.all.target.get(sighting.target)?.name ?? ''
/** What can be done with a sighting that was noted; a touch-up is dealt with where touch-ups are. */
function actionsOf({ sighting: { from, counts } }: JudgedSighting) {
  if (!('sighting' in from)) return []
  const { sighting: id } = from
  const other = counts
    ? ({ name: 'drop', what: 'drop', id } as const)
    : ({ name: 'count', what: 'count again', id } as const)
  return [other, { name: 'delete', what: 'delete', id } as const]
}
const inkOf = ({ fits, sighting }: JudgedSighting) =>
  !sighting.counts ? 'text-haze' : fits ? 'text-kelp' : 'text-coral'
const misfits = (head: HeadTruth) =>
  head.suspicion ? 0 : head.sightings.filter(({ fits, sighting }) => !fits && sighting.counts).length
</script>

<template>
  <section class="flex flex-col gap-3 p-4" :aria-label="`What is told of ${name}`">
    <h2 class="font-semibold">{{ name }}</h2>
    <p class="text-sm text-mist">{{ hangInWords(truth) }}</p>
    <div v-if="seen.length > 0" class="flex flex-wrap gap-2">
      <button type="button" class="main-button py-1.5" :disabled="!room.news" @click="room.set('correction')">
        Correct it here
      </button>
      <button
        type="button"
        class="quiet-button py-1.5"
        :disabled="!room.news && !room.isCorrected"
        @click="room.set('drawing')"
      >
        Draw it so
      </button>
      <p v-if="!room.news && room.isCorrected" class="self-center text-sm text-kelp">It is set so.</p>
    </div>
    <article v-for="head in seen" :key="head.rigged.id" class="flex flex-col gap-1 border-t border-rule pt-2">
      <h3 class="text-sm">
        <span class="mr-2 font-mono font-semibold">{{ numberOfFixture(show, head.rigged.id) }}</span>
        <span v-if="!head.suspicion" class="text-mist">{{ headInWords(head) }}</span>
      </h3>
      <template v-if="head.suspicion">
        <p class="text-sm text-coral">{{ suspicionInWords(show, head, head.suspicion) }}</p>
        <button
          v-if="head.suspicion.kind !== 'address'"
          type="button"
          class="chip self-start"
          @click="room.setMistake(head.fixture, head.suspicion.kind)"
        >
          Take it so
        </button>
      </template>
      <p v-if="misfits(head) > 0" class="text-sm text-coral">
        {{
          misfits(head) === 1
            ? 'One sighting does not fit the others'
            : `${misfits(head)} sightings do not fit the others`
        }}: look again, or drop it.
      </p>
      <table class="w-full text-sm">
        <caption class="sr-only">
          Sightings of
          {{
            numberOfFixture(show, head.rigged.id)
          }}
        </caption>
        <thead class="text-left text-xs text-haze">
          <tr>
            <th class="font-normal">on</th>
            <th class="text-right font-normal">off now</th>
            <th class="text-right font-normal">then</th>
            <th class="sr-only">what to do with it</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="(one, i) in head.sightings"
            :key="i"
            :class="one.sighting.counts ? '' : 'line-through decoration-haze'"
          >
            <td class="max-w-28 truncate">{{ targetOf(one) }}</td>
            <td class="text-right font-mono text-mist">{{ centimetres(one.before) }}</td>
            <td class="text-right font-mono" :class="inkOf(one)">{{ centimetres(one.after) }}</td>
            <td class="pl-2 text-right whitespace-nowrap">
              <button
                v-for="{ name: act, what, id } in actionsOf(one)"
                :key="what"
                type="button"
                class="px-1 text-xs text-mist underline hover:text-sail"
                @click="room.change([id], what)"
              >
                {{ act }}
              </button>
              <span v-if="'palette' in one.sighting.from" class="text-xs text-haze">touch-up</span>
            </td>
          </tr>
        </tbody>
      </table>
    </article>
  </section>
</template>
