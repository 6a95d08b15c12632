<script setup lang="ts">
/** Every cue with one kind of fault in its moves; pressing one looks at it. */
import { computed } from 'vue'
import { counted } from '#core/show/counted'
import type { Show } from '#core/show/show'
import type { FixtureStep } from '#core/travel/check'
import type { DarkFault } from '#core/travel/dark'
import { useCuesRoom, type Fault } from '../../stores/cuesRoom'
import { useTravelCheck } from '../../stores/travelCheck'
import CheckProgress from './CheckProgress.vue'

const props = defineProps<{ show: Show; fault: Exclude<Fault, DarkFault> }>()
const room = useCuesRoom()
const check = useTravelCheck()

const WORDS = {
  tooFast: {
    title: 'Too fast for the motors',
    what: 'Heads that cannot get there in their time, or could not follow the way they are to go. The light is behind by so much at the worst instant.',
    none: 'Every move of every cue can be made in its time.',
  },
  sweeps: {
    title: 'Sweeps',
    what: 'Lit beams that pass through a keep-clear zone while they move, or come to stand in one; the brightest is told.',
    none: 'No lit beam passes through a keep-clear zone.',
  },
  accepted: {
    title: 'Accepted sweeps',
    what: 'Lit beams in keep-clear zones that are meant to be there. They are judged again one cue at a time.',
    none: 'No sweep is accepted.',
  },
} as const
const words = computed(() => WORDS[props.fault])

const found = computed(() =>
  room.lists.flatMap(({ list, cues }) =>
    cues.flatMap(({ id, cue }) => {
      const steps = check.faultsOf(id).filter((step) => check.hasFault(step, props.fault))
      if (steps.length === 0) return []
      return [{ id, cue, list: list.name, fixtures: steps.length, worst: worstOf(steps), isLit: steps.some(isLit) }]
    }),
  ),
)
const isLit = ({ isSeen }: FixtureStep) => isSeen

function worstOf(steps: readonly FixtureStep[]): string {
  if (props.fault !== 'tooFast')
    return `${Math.round(100 * Math.max(...steps.flatMap(({ sweeps }) => sweeps.map(({ level }) => level))))} %`
  if (!steps.some(isLit)) return 'dark'
  return `${Math.max(...steps.map(({ tooFast }) => tooFast?.lagMetres ?? 0)).toFixed(2)} m`
}
</script>

<template>
  <div class="flex flex-col">
    <header class="border-b border-rule px-4 py-3">
      <h2 class="text-xl font-semibold">{{ words.title }}</h2>
      <p class="text-sm text-mist">{{ words.what }}</p>
      <CheckProgress />
    </header>
    <p v-if="found.length === 0" class="px-4 py-3 text-sm text-mist">
      {{ check.part === null && !check.isStopped ? words.none : 'Nothing found so far.' }}
    </p>
    <ul v-else class="px-2 py-2" :aria-label="words.title">
      <li v-for="fast in found" :key="fast.id">
        <button
          type="button"
          class="grid w-full grid-cols-[44px_1fr_auto] items-baseline gap-x-2 rounded px-2 py-1 text-left hover:bg-plank-2"
          @click="room.find(fast.id)"
        >
          <span class="font-mono text-coral">{{ fast.cue.number }}</span>
          <span class="truncate font-semibold">{{ fast.cue.name || 'No name' }}</span>
          <span class="text-sm" :class="fast.isLit ? 'text-coral' : 'text-haze'">{{ fast.worst }}</span>
          <span />
          <span class="text-sm text-mist">
            {{ counted(fast.fixtures, 'fixture') }}{{ room.lists.length > 1 ? `, ${fast.list}` : '' }}
          </span>
        </button>
      </li>
    </ul>
  </div>
</template>
