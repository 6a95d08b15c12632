<script setup lang="ts">
/** The fixtures of the palette that is checked: which are right, which one is lit alone. */
import type { PassFixture } from '#core/refocus/pass'
import { numbersInWords } from '#core/selection/written'
import { fixtureNumber } from '#core/show/cells'
import type { Show } from '#core/show/show'
import { usePass } from '../../stores/pass'

const props = defineProps<{ show: Show }>()
const pass = usePass()

function numberOf({ fixture }: PassFixture): string {
  const known = props.show.all.fixture.get(fixture)
  return known ? fixtureNumber(known) : '?'
}
const LOOK = {
  'to do': 'border-rule-2 text-sail',
  right: 'border-kelp/70 text-sail',
  'turned since': 'border-brass text-brass',
} as const
const words = ({ state, isTouchedUp }: PassFixture) =>
  `${state === 'turned since' ? 'turned since it was right' : state}${isTouchedUp ? ', touched up' : ''}`
</script>

<template>
  <div v-if="pass.line">
    <div class="flex flex-wrap gap-1.5 in-data-touch:gap-2" role="group" aria-label="One fixture, or all">
      <button
        type="button"
        class="rounded-lg border px-2.5 py-1 font-semibold in-data-touch:min-h-[54px] in-data-touch:px-4 in-data-touch:text-xl"
        :class="pass.fixture === null ? 'border-coral bg-coral-deep' : 'border-rule-2 bg-plank hover:bg-plank-2'"
        :aria-pressed="pass.fixture === null"
        @click="pass.lookAt(null)"
      >
        all
      </button>
      <button
        v-for="one in pass.line.fixtures"
        :key="one.fixture"
        type="button"
        class="relative min-w-10 rounded-lg border px-2 py-1 font-mono font-semibold in-data-touch:min-h-[54px] in-data-touch:min-w-[60px] in-data-touch:text-xl"
        :class="
          pass.fixture === one.fixture
            ? 'border-coral bg-coral-deep'
            : `${LOOK[one.state]} ${one.state === 'right' ? 'bg-kelp-deep' : 'bg-plank'} hover:bg-plank-2`
        "
        :aria-pressed="pass.fixture === one.fixture"
        :aria-label="`${numberOf(one)}, ${words(one)}`"
        :title="words(one)"
        @click="pass.lookAt(one.fixture)"
      >
        {{ numberOf(one) }}
        <span
          v-if="one.isTouchedUp"
          class="absolute top-0.5 right-0.5 size-1.5 rounded-full bg-shoal"
          aria-hidden="true"
        />
      </button>
    </div>
    <p v-if="pass.line.missing.length" class="mt-1.5 text-sm text-brass">
      Plays here without {{ numbersInWords(show, pass.line.missing) }}.
    </p>
  </div>
</template>
