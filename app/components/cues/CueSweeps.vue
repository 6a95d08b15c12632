<script setup lang="ts">
/** Lit beams of a cue that pass through a keep-clear zone, or come to stand in one. */
import { computed } from 'vue'
import { numbersInWords } from '#core/selection/written'
import type { CueId, FixtureId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useCuesRoom } from '../../stores/cuesRoom'
import { useSelection } from '../../stores/selection'
import { useTravelCheck } from '../../stores/travelCheck'
import { useTravelView } from '../../stores/travelView'

const props = defineProps<{ show: Show; cue: CueId }>()
const selection = useSelection()
const check = useTravelCheck()
const room = useCuesRoom()
const view = useTravelView()

/** Looks at the plan as it is then, with those alone. */
function see({ middle, fixtures: these }: { middle: number; fixtures: readonly FixtureId[] }) {
  selection.set(these)
  room.view = 'travel'
  view.moveTo(middle)
}

const found = computed(() =>
  check.faultsOf(props.cue).flatMap(({ fixture, sweeps }) => sweeps.map((sweep) => ({ fixture, ...sweep }))),
)
const fixtures = computed(() => [...new Set(found.value.map(({ fixture }) => fixture))])

/** Those that do the same in one line. */
const lines = computed(() => {
  const alike = new Map<string, { what: string; level: number; middle: number; fixtures: typeof fixtures.value }>()
  for (const { fixture, zone, fromSeconds, untilSeconds, level } of found.value) {
    const when =
      untilSeconds === null
        ? `stays from ${fromSeconds.toFixed(1)} s`
        : `${fromSeconds.toFixed(1)} to ${untilSeconds.toFixed(1)} s`
    const what = `${zone}, ${when}`
    const known = alike.get(what)
    const middle = (fromSeconds + (untilSeconds ?? view.end)) / 2
    alike.set(what, {
      what,
      middle,
      level: Math.max(level, known?.level ?? 0),
      fixtures: [...(known?.fixtures ?? []), fixture],
    })
  }
  return [...alike.values()]
})
</script>

<template>
  <section v-if="found.length" class="border-b border-rule px-4 py-3" aria-labelledby="sweeps-title">
    <div class="mb-1 flex items-baseline justify-between">
      <h3 id="sweeps-title" class="font-semibold text-coral">Sweeps what is kept clear</h3>
      <button
        type="button"
        class="text-sm text-mist underline decoration-rule-2 hover:text-sail"
        @click="selection.set(fixtures)"
      >
        Select {{ fixtures.length }}
      </button>
    </div>
    <button
      v-for="line in lines"
      :key="line.what"
      type="button"
      class="grid w-full grid-cols-[minmax(34px,max-content)_1fr_auto] gap-2 rounded py-0.5 text-left text-sm hover:bg-plank-2"
      title="See it at its middle"
      @click="see(line)"
    >
      <span class="max-w-24 truncate font-mono">{{ numbersInWords(show, line.fixtures) }}</span>
      <span class="truncate text-mist" :title="line.what">{{ line.what }}</span>
      <span class="text-coral">{{ Math.round(100 * line.level) }} %</span>
    </button>
  </section>
</template>
