<script setup lang="ts">
/** Times of a family or of fixtures where they differ from the cue's own, and how their light travels. */
import { X } from '@lucide/vue'
import { computed, ref } from 'vue'
import { timesOf } from '#core/cues/times'
import type { Travel } from '#core/cues/travel'
import { entryWorldOf } from '#core/groups/entryWorld'
import { parseEntry } from '#core/selection/entry'
import { numbersInWords } from '#core/selection/written'
import type { CueTime } from '#core/show/entities'
import { FAMILIES, type Family } from '#core/attributes/families'
import type { CueId, FixtureId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { numberTyped } from '#core/show/numberTyped'
import { travelInWords } from '#core/cues/travel'
import { TRAVEL_OPTIONS } from '../../composables/cues/travelWords'
import { useShow } from '../../stores/show'

const props = defineProps<{ show: Show; cue: CueId }>()
const store = useShow()
const isAdding = ref(false)
const family = ref<Family | ''>('colour')
const whose = ref('')
const seconds = ref('')
const delay = ref('')
const AS_CUE = ''
const travel = ref<Travel | typeof AS_CUE>(AS_CUE)
const trouble = ref('')

/** Fixtures with the same times share a line. */
const lines = computed(() => {
  const found = new Map<string, { time: CueTime; fixtures: FixtureId[] }>()
  for (const time of timesOf(props.show, props.cue)) {
    const key = `${time.family} ${time.seconds} ${time.delay} ${time.travel} ${time.fixture === null}`
    const line = found.get(key) ?? { time, fixtures: [] }
    found.set(key, line)
    if (time.fixture !== null) line.fixtures.push(time.fixture)
  }
  return [...found.values()].map(({ time, fixtures }) => ({
    time,
    fixtures: fixtures.length ? fixtures : null,
    whom: [time.family, numbersInWords(props.show, fixtures)].filter(Boolean).join(' of '),
    words: [
      time.seconds !== null && `${time.seconds} s`,
      time.delay !== null && `${time.delay} s late`,
      time.travel && travelInWords(time.travel),
    ]
      .filter(Boolean)
      .join(', '),
  }))
})

/** Undefined for nonsense, null for nothing typed. */
function typed(text: string): number | null | undefined {
  return text.trim() === '' ? null : (numberTyped(text) ?? undefined)
}

async function add() {
  const [lasts, waits] = [typed(seconds.value), typed(delay.value)]
  const world = entryWorldOf(props.show, [], new Set(), () => true)
  const asked = whose.value.trim() === '' ? null : parseEntry(whose.value, world)
  trouble.value =
    asked && !asked.ok
      ? asked.message
      : lasts === undefined || waits === undefined
        ? 'Type seconds.'
        : lasts === null && waits === null && travel.value === AS_CUE
          ? 'Say how long, how late, or how its light travels.'
          : ''
  if (trouble.value || lasts === undefined || waits === undefined) return
  const refusal = await store.ask('setCueTimes', {
    cues: [props.cue],
    fixtures: asked?.ok ? [...asked.fixtures] : null,
    family: family.value || null,
    seconds: lasts,
    delay: waits,
    travel: travel.value === AS_CUE ? null : travel.value,
  })
  trouble.value = refusal?.message ?? ''
  if (!refusal) isAdding.value = false
}

function takeAway({ time, fixtures }: { time: CueTime; fixtures: FixtureId[] | null }) {
  void store.send('setCueTimes', {
    ...{ cues: [props.cue], fixtures, family: time.family },
    ...{ seconds: null, delay: null, travel: null },
  })
}
</script>

<template>
  <div>
    <p v-for="line in lines" :key="line.whom + line.words" class="flex items-center gap-2 py-0.5 text-sm">
      <span class="min-w-0 truncate text-mist">{{ line.whom }}</span>
      <span class="ml-auto shrink-0 font-mono">{{ line.words }}</span>
      <IconButton
        :icon="X"
        :size="13"
        class="text-haze hover:text-sail"
        :aria-label="`No own time for ${line.whom}`"
        @click="takeAway(line)"
      />
    </p>
    <button
      v-if="!isAdding"
      type="button"
      class="text-sm text-mist underline decoration-rule-2 hover:text-sail"
      @click="isAdding = true"
    >
      Own times or ways for a family or fixtures
    </button>
    <form
      v-else
      class="mt-1 flex flex-col gap-1.5 rounded-lg border border-rule-2 p-2"
      aria-label="Times of their own"
      @submit.prevent="add"
      @keydown.esc.stop="isAdding = false"
    >
      <div class="flex gap-1.5">
        <label class="flex-1"
          ><span class="block text-xs text-haze">family</span>
          <select v-model="family" class="field font-sans">
            <option value="">all</option>
            <option v-for="option in FAMILIES" :key="option" :value="option">{{ option }}</option>
          </select>
        </label>
        <label class="flex-1"
          ><span class="block text-xs text-haze">fixtures</span>
          <input v-model="whose" class="field font-sans" placeholder="all" />
        </label>
      </div>
      <div class="flex items-end gap-1.5">
        <label class="w-16"
          ><span class="block text-xs text-haze">takes, s</span
          ><input v-model="seconds" class="field" inputmode="decimal"
        /></label>
        <label class="w-16"
          ><span class="block text-xs text-haze">late, s</span><input v-model="delay" class="field" inputmode="decimal"
        /></label>
        <label class="min-w-0 flex-1"
          ><span class="block text-xs text-haze">travels</span>
          <select v-model="travel" class="field font-sans">
            <option :value="AS_CUE">as the cue</option>
            <option v-for="{ key, name } in TRAVEL_OPTIONS" :key="key" :value="key">{{ name }}</option>
          </select>
        </label>
      </div>
      <div class="flex gap-1.5">
        <button type="submit" class="main-button ml-auto py-1">Set</button>
        <button type="button" class="quiet-button py-1" @click="isAdding = false">Cancel</button>
      </div>
      <p v-if="trouble" class="text-xs text-coral" role="alert">{{ trouble }}</p>
    </form>
  </div>
</template>
