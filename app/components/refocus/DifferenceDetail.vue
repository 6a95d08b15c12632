<script setup lang="ts">
/** One palette in both venues: fixture by fixture in numbers, and side by side on the plan or in Space. */
import { computed, ref } from 'vue'
import { paletteLight } from '#core/cues/paletteLight'
import { metresInWords } from '#core/geometry/lengthInWords'
import { inVenue, lossesOf, turnOf, type FixtureDifference, type PaletteDifference } from '#core/refocus/difference'
import { numberOfFixture } from '#core/show/cells'
import type { VenueId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { LOSS_WORDS } from '../../composables/refocus/differenceWords'
import LightPlan from '../stage/LightPlan.vue'

const props = defineProps<{ show: Show; difference: PaletteDifference; here: VenueId; there: VenueId }>()
const emit = defineEmits<{ close: [] }>()
const surface = ref<'plan' | 'space'>('plan')
const SURFACES = [
  { key: 'plan', name: 'Plan' },
  { key: 'space', name: 'Space' },
] as const

const sides = computed(() =>
  [props.here, props.there].map((venue) => {
    const show = inVenue(props.show, venue)
    const light = paletteLight(show, props.difference.palette)
    const lit = light.map((one) => ({ ...one, intensity: 1, seen: 1 }))
    return {
      venue,
      name: props.show.all.venue.get(venue)?.name ?? '',
      show,
      light,
      picture: { fixtures: lit, ways: [] },
    }
  }),
)
const name = computed(() => props.show.all.palette.get(props.difference.palette)?.name ?? '')

/** What is worse there, with how far it falls short and what is in the way. */
function troubleOf(one: FixtureDifference): string {
  return lossesOf(one)
    .map((loss) => {
      if (loss === 'out of reach' && one.there)
        return `${LOSS_WORDS[loss]}: ${one.there.shortDegrees.toFixed(1)}° short, misses by ${metresInWords(one.there.missMetres)}`
      if (loss === 'in the way')
        return `${props.show.all.setPiece.get(one.there?.blockedBy ?? '')?.name ?? 'the set'} in the way`
      return loss === 'keep clear' ? `in ${one.there?.zones.join(', ') ?? ''}` : LOSS_WORDS[loss]
    })
    .join('; ')
}
const pair = (one: FixtureDifference, key: 'pan' | 'tilt' | 'throwMetres' | 'poolMetres', digits: number) =>
  [one.here, one.there].map((light) => light?.[key]?.toFixed(digits) ?? '–').join(' → ')
</script>

<template>
  <section
    class="grid min-h-0 grid-cols-[400px_minmax(0,1fr)_minmax(0,1fr)] border-t border-rule"
    :aria-label="`${name} in both venues`"
  >
    <div class="flex min-h-0 flex-col bg-deck">
      <header class="flex items-center gap-2 px-4 py-2">
        <h3 class="min-w-0 truncate font-semibold">{{ name }}</h3>
        <SwitchField
          class="ml-auto"
          label="Seen"
          :options="SURFACES"
          :value="surface"
          @choose="(key) => (surface = key)"
        />
        <button type="button" class="chip" @click="emit('close')">Close</button>
      </header>
      <div class="min-h-0 flex-1 overflow-y-auto px-4 pb-2" tabindex="0">
        <table class="w-full text-sm">
          <caption class="sr-only">
            Each fixture before and after
          </caption>
          <thead class="sticky top-0 bg-deck text-xs text-haze">
            <tr>
              <th class="text-left font-normal">fixture</th>
              <th class="text-right font-normal">pan, °</th>
              <th class="text-right font-normal">tilt, °</th>
              <th class="text-right font-normal">throw, m</th>
              <th class="text-right font-normal">turns</th>
            </tr>
          </thead>
          <tbody>
            <template v-for="one in difference.fixtures" :key="one.fixture">
              <tr class="font-mono text-xs">
                <td class="text-sm">{{ numberOfFixture(show, one.fixture) }}</td>
                <td class="text-right">{{ pair(one, 'pan', 1) }}</td>
                <td class="text-right">{{ pair(one, 'tilt', 1) }}</td>
                <td class="text-right">{{ pair(one, 'throwMetres', 1) }}</td>
                <td class="text-right">{{ turnOf(one)?.toFixed(1) ?? '–' }}°</td>
              </tr>
              <tr v-if="lossesOf(one).length">
                <td />
                <td colspan="4" class="pb-1 text-coral">{{ troubleOf(one) }}</td>
              </tr>
            </template>
          </tbody>
        </table>
      </div>
    </div>
    <div v-for="side in sides" :key="side.venue" class="relative min-h-0 border-l border-rule">
      <LazyStageSpace v-if="surface === 'space'" :show="side.show" :picture="side.picture" />
      <LightPlan v-else :show="side.show" :label="`Plan at ${side.name}`" :chosen="side.light" />
      <p class="pill absolute top-3 left-3 bg-deck" :class="side.venue === there ? 'border-brass/60 text-brass' : ''">
        {{ side.name }}
      </p>
    </div>
  </section>
</template>
