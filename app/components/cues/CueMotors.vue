<script setup lang="ts">
/** Moves of a cue that the motors of its heads cannot make in its time. */
import { computed } from 'vue'
import type { TooFast } from '#core/travel/motors'
import { fixtureNumber } from '#core/show/cells'
import type { CueId } from '#core/show/ids'
import { entity, type Show } from '#core/show/show'
import { shortNumber } from '#core/show/shortNumber'
import { useSelection } from '../../stores/selection'
import { useTravelCheck } from '../../stores/travelCheck'

const props = defineProps<{ show: Show; cue: CueId }>()
const selection = useSelection()
const check = useTravelCheck()

const found = computed(() =>
  check
    .faultsOf(props.cue)
    .flatMap(({ tooFast }) => tooFast ?? [])
    .sort((a, b) => (b.lagMetres ?? 0) - (a.lagMetres ?? 0)),
)
/** More than these stand in a list of their own when asked for. */
const FEW = 4
const shown = computed(() => found.value.slice(0, FEW))
const more = computed(() => found.value.length - shown.value.length)

const UNITS = { speed: '°/s', acceleration: '°/s²', time: 's' } as const
function demandInWords({ axis, what, needed, possible, shortestSeconds }: TooFast): string {
  if (shortestSeconds === null) return 'straight past its pan axis'
  if (what === 'time') return `needs ${needed.toFixed(2)} s, has ${shortNumber(possible)}`
  return `${axis} ${Math.ceil(needed)} of ${Math.round(possible)} ${UNITS[what]}`
}
const remedyInWords = ({ shortestSeconds, byAngleSeconds }: TooFast) =>
  shortestSeconds === null
    ? `Straight it passes its own pan axis, which no motor could follow; by angle it needs ${byAngleSeconds.toFixed(1)} s`
    : `Its motors could make it in ${shortestSeconds.toFixed(2)} s`
const lagInWords = ({ lagMetres, isLit }: TooFast) =>
  isLit ? (lagMetres === null ? 'lit' : `${lagMetres.toFixed(2)} m behind`) : 'in the dark'
</script>

<template>
  <section v-if="found.length" class="border-b border-rule px-4 py-3" aria-labelledby="motors-title">
    <div class="mb-1 flex items-baseline justify-between">
      <h3 id="motors-title" class="font-semibold text-coral">Too fast for the motors</h3>
      <button
        type="button"
        class="text-sm text-mist underline decoration-rule-2 hover:text-sail"
        @click="selection.set(found.map(({ fixture }) => fixture))"
      >
        Select {{ found.length }}
      </button>
    </div>
    <p
      v-for="fault in shown"
      :key="fault.fixture"
      class="grid grid-cols-[34px_1fr_auto] gap-2 py-0.5 text-sm"
      :title="remedyInWords(fault)"
    >
      <span class="font-mono">{{ fixtureNumber(entity(show, 'fixture', fault.fixture)) }}</span>
      <span class="truncate text-mist">{{ demandInWords(fault) }}</span>
      <span :class="fault.isLit ? 'text-coral' : 'text-haze'">{{ lagInWords(fault) }}</span>
    </p>
    <p v-if="more > 0" class="text-sm text-mist">and {{ more }} more</p>
  </section>
</template>
