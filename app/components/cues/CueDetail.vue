<script setup lang="ts">
/** A cue: its name and times to change, the light it leaves on stage, and the palettes it leans on. */
import { LEADING } from '#core/attributes/catalogue'
import { computed, ref, watch } from 'vue'
import { stateAt, valuesByCue, type ListInOrder } from '#core/cues/tracking'
import type { Fixture } from '#core/show/entities'
import { byNumber, fixtureNumber } from '#core/show/cells'
import { FOLLOWS } from '#core/show/entities'
import { travelOfList } from '#core/cues/travel'
import { travelInWords } from '#core/cues/travel'
import { TRAVEL_OPTIONS } from '../../composables/cues/travelWords'
import { entity, showRecordOf, type Show } from '#core/show/show'
import type { CueId, FixtureId } from '#core/show/ids'
import { cuePicture } from '#core/cues/comparedCue'
import { missingInCue } from '#core/refocus/absent'
import { numbersInWords } from '#core/selection/written'
import { useCommit } from '../../composables/forms/useCommit'
import { useShow } from '../../stores/show'
import StagePicture from '../shelf/StagePicture.vue'
import { PALETTE_FILL } from '../shelf/paletteColours'
import CueMoveForm from './CueMoveForm.vue'
import CueMotors from './CueMotors.vue'
import CueRemedies from './CueRemedies.vue'
import CueSweeps from './CueSweeps.vue'
import CueTimes from './CueTimes.vue'
import { counted } from '#core/show/counted'

const props = defineProps<{ show: Show; list: ListInOrder; cue: CueId }>()
const store = useShow()
const { keep } = useCommit()

const FOLLOW_OPTIONS = FOLLOWS.map((key) => ({
  key,
  name: { wait: 'when called', after: 'after the one before', with: 'with the one before' }[key],
}))
const AS_LIST = 'list'
/** Without a word of its own a cue goes as its list says, or the show: which it is stands in the choice. */
const travelOptions = computed(() => {
  const { travel, said } = travelOfList(props.show, props.list.id)
  return [{ key: AS_LIST, name: `as the ${said}, ${travelInWords(travel)}` } as const, ...TRAVEL_OPTIONS]
})

const open = ref<'insertion' | 'move' | 'copy' | 'removal' | null>(null)
watch(
  () => props.cue,
  () => (open.value = null),
)
const record = computed(() => props.show.all.cue.get(props.cue))
const venue = computed(() => entity(props.show, 'venue', showRecordOf(props.show).venue))
const isOnStage = computed(() => props.list.list.onStage === props.cue)
const picture = computed(() =>
  [...cuePicture(props.show, props.cue).values()].filter(({ intensity }) => intensity > 0.01),
)

/** What it lights that does not hang here. */
const missing = computed(() => missingInCue(props.show, props.cue))

const sets = computed(() => {
  const palettes = new Map<string, Set<FixtureId>>()
  const loose: { fixture: Fixture; what: string }[] = []
  for (const { fixture, attribute, value, mark } of valuesByCue(props.show).get(props.cue) ?? []) {
    const known = props.show.all.fixture.get(fixture)
    if (value.kind === 'link')
      palettes.set(value.palette, (palettes.get(value.palette) ?? new Set<FixtureId>()).add(fixture))
    else if (known && attribute !== LEADING.light)
      loose.push({
        fixture: known,
        what: `${value.kind === 'aim' ? 'aimed by hand' : `${attribute}, ${value.kind}`}${mark === 'held' ? ', held' : ''}`,
      })
  }
  return { palettes: [...palettes], loose: loose.sort((a, b) => byNumber(a.fixture, b.fixture)) }
})
/** Palettes whose positions come from earlier cues, with the cue each comes from. */
const carried = computed(() => {
  const found = new Map<string, { palette: string; cue: string; fixtures: number }>()
  for (const stored of stateAt(props.show, props.list, props.cue).values()) {
    if (stored.cue === props.cue || stored.attribute !== LEADING.place || stored.value.kind !== 'link') continue
    const key = `${stored.value.palette} ${stored.cue}`
    const known = found.get(key)
    found.set(key, { palette: stored.value.palette, cue: stored.cue, fixtures: (known?.fixtures ?? 0) + 1 })
  }
  return [...found.values()]
})
const isEmpty = computed(() => (valuesByCue(props.show).get(props.cue) ?? []).length === 0)
const cues = computed(() => [props.cue])
const seconds = (field: 'rise' | 'fall' | 'move' | 'delay') => (value: number) =>
  keep('changeCues', { cues: cues.value, [field]: value })
/** An empty time for moving is that of rising. */
async function moveTime(text: string): Promise<string | null> {
  const typed = text.trim().replace(',', '.')
  if (typed === '') return keep('changeCues', { cues: cues.value, move: null })
  return Number.isFinite(Number(typed))
    ? keep('changeCues', { cues: cues.value, move: Number(typed) })
    : 'Type seconds, or nothing for the time of rising.'
}
const putOnStage = () => store.send('goToCue', { list: props.list.id, cue: props.cue, seconds: 0 })
</script>

<template>
  <div v-if="record" class="flex flex-col">
    <header class="border-b border-rule px-4 py-3">
      <div class="flex items-baseline justify-between text-sm">
        <span class="text-mist">Cue {{ record.number }}</span>
        <span v-if="isOnStage" class="text-kelp">on stage</span>
      </div>
      <h2 class="text-xl font-semibold">{{ record.name || 'No name' }}</h2>
      <div class="mt-2 flex flex-wrap gap-1">
        <button type="button" class="chip px-1.5" :disabled="isOnStage" @click="putOnStage">To stage</button>
        <button
          v-for="what in ['insertion', 'move', 'copy', 'removal'] as const"
          :key="what"
          type="button"
          class="chip px-1.5"
          :class="open === what ? 'chip-on' : ''"
          :aria-expanded="open === what"
          @click="open = open === what ? null : what"
        >
          {{ { insertion: 'Insert', move: 'Move', copy: 'Copy', removal: 'Take out' }[what] }}
        </button>
      </div>
      <CueMoveForm v-if="open" :key="open" class="mt-2" :what="open" :list="list" :cues="cues" @done="open = null" />
    </header>
    <section class="grid grid-cols-4 gap-2 border-b border-rule px-4 py-3" aria-label="Name and times" data-narrow>
      <TextField
        class="col-span-4"
        label="Name"
        :shown="record.name"
        :keep="(name) => keep('changeCues', { cues, name })"
      />
      <NumberField label="Rise" unit="s" :value="record.rise" :keep="seconds('rise')" />
      <NumberField label="Fall" unit="s" :value="record.fall" :keep="seconds('fall')" />
      <TextField
        label="Move"
        unit="s"
        :shown="record.move === null ? '' : String(record.move)"
        :placeholder="String(record.rise)"
        :keep="moveTime"
      />
      <NumberField label="Delay" unit="s" :value="record.delay" :keep="seconds('delay')" />
      <ChoiceField
        class="col-span-2"
        label="It comes"
        :value="record.follow"
        :options="FOLLOW_OPTIONS"
        :keep="(follow) => keep('changeCues', { cues, follow })"
      />
      <ChoiceField
        class="col-span-2"
        label="Light travels"
        :value="record.travel ?? AS_LIST"
        :options="travelOptions"
        :keep="(travel) => keep('changeCues', { cues, travel: travel === AS_LIST ? null : travel })"
      />
      <label class="col-span-4 flex items-center gap-2 text-sm" title="Moving heads are heard">
        <input
          type="checkbox"
          class="accent-shoal"
          :checked="record.quiet"
          @change="keep('changeCues', { cues, quiet: !record.quiet })"
        />Quiet: nothing moves in the dark in it
      </label>
      <TextField
        class="col-span-4"
        label="Note"
        :shown="record.note"
        :keep="(note) => keep('changeCues', { cues, note })"
      />
      <CueTimes class="col-span-4" :show="show" :cue="cue" />
    </section>
    <CueMotors :show="show" :cue="cue" />
    <CueSweeps :show="show" :cue="cue" />
    <CueRemedies :show="show" :cue="cue" />
    <section class="border-b border-rule px-4 py-3" aria-labelledby="leaves-title">
      <div class="mb-2 flex items-baseline justify-between">
        <h3 id="leaves-title" class="font-semibold">On stage after it</h3>
        <span class="text-sm text-mist">{{ picture.length }} lit</span>
      </div>
      <div class="rounded-lg border border-rule bg-night">
        <StagePicture :fixtures="picture" :venue="venue" by-intensity />
      </div>
      <p v-if="missing.length" class="mt-1.5 text-sm text-brass">
        Plays here without {{ numbersInWords(show, missing) }}.
      </p>
    </section>
    <section class="border-b border-rule px-4 py-3" aria-labelledby="palettes-title">
      <h3 id="palettes-title" class="mb-1 font-semibold">Set from palettes</h3>
      <p v-if="sets.palettes.length === 0" class="text-sm text-haze">
        {{ isEmpty ? 'This cue sets nothing: it carries everything on.' : 'This cue sets levels only.' }}
      </p>
      <p v-for="[id, fixtures] in sets.palettes" :key="id" class="flex items-center gap-2 py-0.5">
        <svg width="10" height="10" aria-hidden="true">
          <rect width="10" height="10" rx="2" :class="PALETTE_FILL[show.all.palette.get(id)?.colour ?? 'sail']" />
        </svg>
        <NuxtLink
          class="underline decoration-rule-2 hover:text-coral"
          :to="{ path: `/shows/${show.id}/focus`, query: { palette: id } }"
          >{{ show.all.palette.get(id)?.name }}</NuxtLink
        >
        <span class="ml-auto text-sm text-mist">{{ counted(fixtures.size, 'fixture') }}</span>
      </p>
    </section>
    <section v-if="carried.length" class="border-b border-rule px-4 py-3" aria-labelledby="carried-title">
      <h3 id="carried-title" class="mb-1 font-semibold">Places carried on</h3>
      <p v-for="item in carried" :key="`${item.palette} ${item.cue}`" class="flex items-center gap-2 py-0.5">
        <svg width="10" height="10" aria-hidden="true">
          <rect
            y="4"
            width="10"
            height="2.5"
            :class="PALETTE_FILL[show.all.palette.get(item.palette)?.colour ?? 'sail']"
          />
        </svg>
        <NuxtLink
          class="underline decoration-rule-2 hover:text-coral"
          :to="{ path: `/shows/${show.id}/focus`, query: { palette: item.palette } }"
          >{{ show.all.palette.get(item.palette)?.name }}</NuxtLink
        >
        <span class="ml-auto text-sm text-mist"
          >{{ item.fixtures }} from cue <span class="font-mono">{{ show.all.cue.get(item.cue)?.number }}</span></span
        >
      </p>
    </section>
    <section v-if="sets.loose.length" class="px-4 py-3" aria-labelledby="loose-title">
      <h3 id="loose-title" class="mb-1 font-semibold text-coral">Loose, follows no palette</h3>
      <p v-for="(value, i) in sets.loose" :key="i" class="py-0.5 text-mist">
        <span class="font-mono text-coral">{{ fixtureNumber(value.fixture) }}</span> {{ value.what }}
      </p>
    </section>
  </div>
</template>
