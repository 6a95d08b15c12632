<script setup lang="ts">
/** Lit beams of a cue that pass through a keep-clear zone, or come to stand in one. */
import { group } from 'd3-array'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { numbersInWords } from '#core/selection/written'
import type { CueId, FixtureId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { acceptedSweeps } from '#core/travel/accepted'
import { useCuesRoom } from '../../stores/cuesRoom'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'
import { useTravelCheck } from '../../stores/travelCheck'
import { useTravelView } from '../../stores/travelView'

const props = defineProps<{ show: Show; cue: CueId }>()
const store = useShow()
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
  check.openFaultsOf(props.cue).flatMap(({ fixture, sweeps }) => sweeps.map((sweep) => ({ fixture, ...sweep }))),
)
const fixtures = computed(() => [...new Set(found.value.map(({ fixture }) => fixture))])

const accepted = computed(() =>
  check.faultsOf(props.cue).flatMap((step) =>
    acceptedSweeps(props.show, step).map(({ id, reason, sweep }) => ({
      id,
      reason,
      zone: sweep.zone,
      fixture: step.fixture,
    })),
  ),
)
/** Accepted for the same reason in one line. */
const reasons = computed(() => [...group(accepted.value, ({ reason, zone }) => `${zone}: ${reason}`)])

/** The reason being written; null while none is. */
const reason = ref<string | null>(null)
const trouble = ref<string | null>(null)
const field = useTemplateRef<HTMLInputElement>('field')
async function beginReason() {
  reason.value = ''
  await nextTick()
  field.value?.focus()
}
async function accept() {
  const sweeps = found.value.map(({ fixture, zone }) => ({ cue: props.cue, fixture, zone }))
  const refusal = await store.ask('acceptSweeps', { sweeps, reason: reason.value ?? '' })
  trouble.value = refusal?.message ?? null
  if (!refusal) reason.value = null
}
watch(
  () => props.cue,
  () => (reason.value = null),
)

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
    <form v-if="reason !== null" class="mt-1.5 flex flex-wrap items-end gap-1.5" @submit.prevent="accept">
      <label class="flex min-w-0 flex-1 flex-col text-sm text-mist"
        >Meant so, because
        <input ref="field" v-model="reason" class="field" maxlength="200" @keydown.esc.stop="reason = null" />
      </label>
      <button type="submit" class="chip" :disabled="reason.trim() === ''">Accept</button>
      <p v-if="trouble" class="w-full text-sm text-coral" role="alert">{{ trouble }}</p>
    </form>
    <button v-else type="button" class="chip mt-1.5" @click="beginReason">Accept with a reason …</button>
  </section>
  <section v-if="reasons.length" class="border-b border-rule px-4 py-3" aria-labelledby="accepted-title">
    <h3 id="accepted-title" class="mb-1 font-semibold">Accepted sweeps</h3>
    <div v-for="[what, these] in reasons" :key="what" class="flex items-start gap-2 py-0.5 text-sm">
      <span class="font-mono">{{ numbersInWords(show, [...new Set(these.map(({ fixture }) => fixture))]) }}</span>
      <span class="flex-1 text-mist">{{ what }}</span>
      <button
        type="button"
        class="chip px-1.5"
        :aria-label="`Judge again: ${what}`"
        @click="store.send('judgeSweepsAgain', { sweeps: [...new Set(these.map(({ id }) => id))] })"
      >
        Judge again
      </button>
    </div>
  </section>
</template>
