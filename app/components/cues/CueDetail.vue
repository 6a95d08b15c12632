<script setup lang="ts">
/** A cue: its times, the light it leaves on stage, and the palettes it leans on. */
import { computed } from 'vue'
import { pictureOf } from '#core/cues/onStage'
import { stateAt, valuesByCue, type ListInOrder } from '#core/cues/tracking'
import { rigOf } from '#core/show/rig'
import { entity, showRecordOf, type Show } from '#core/show/show'
import type { CueId, FixtureId } from '#core/show/ids'
import { useShow } from '../../stores/show'
import StagePicture from '../shelf/StagePicture.vue'
import { PALETTE_FILL } from '../shelf/paletteColours'

const props = defineProps<{ show: Show; list: ListInOrder; cue: CueId }>()
const store = useShow()

const record = computed(() => props.show.all.cue.get(props.cue))
const venue = computed(() => entity(props.show, 'venue', showRecordOf(props.show).venue))
const isOnStage = computed(() => props.list.list.onStage === props.cue)
const picture = computed(() => {
  const state = stateAt(props.show, props.list, props.cue)
  return [...rigOf(props.show).values()]
    .map((rigged) => pictureOf(props.show, rigged, (id, attribute) => state.get(`${id} ${attribute}`)?.value ?? null))
    .filter((fixture) => fixture.intensity > 0.01)
})

const sets = computed(() => {
  const palettes = new Map<string, Set<FixtureId>>()
  const loose: { number: number; what: string }[] = []
  for (const { fixture, attribute, value } of valuesByCue(props.show).get(props.cue) ?? []) {
    if (value.kind === 'link')
      palettes.set(value.palette, (palettes.get(value.palette) ?? new Set<FixtureId>()).add(fixture))
    else if (attribute !== 'intensity')
      loose.push({
        number: rigOf(props.show).get(fixture)?.fixture.number ?? 0,
        what: value.kind === 'aim' ? 'aimed by hand' : `${attribute}, ${value.kind}`,
      })
  }
  return { palettes: [...palettes], loose: loose.sort((a, b) => a.number - b.number) }
})
/** Palettes whose positions come from earlier cues, with the cue each comes from. */
const carried = computed(() => {
  const found = new Map<string, { palette: string; cue: string; fixtures: number }>()
  for (const stored of stateAt(props.show, props.list, props.cue).values()) {
    if (stored.cue === props.cue || stored.attribute !== 'position' || stored.value.kind !== 'link') continue
    const key = `${stored.value.palette} ${stored.cue}`
    const known = found.get(key)
    found.set(key, { palette: stored.value.palette, cue: stored.cue, fixtures: (known?.fixtures ?? 0) + 1 })
  }
  return [...found.values()]
})
const travel = computed(() => (record.value?.travel === 'straight' ? 'straight across the stage' : 'by angle'))
const go = () => store.send('goToCue', { list: props.list.id, cue: props.cue })
</script>

<template>
  <aside
    v-if="record"
    class="flex min-h-0 flex-col overflow-y-auto border-l border-rule bg-deck"
    :aria-label="`Cue ${record.number}`"
  >
    <header class="border-b border-rule px-4 py-3">
      <div class="flex items-baseline justify-between text-sm">
        <span class="text-mist">Cue {{ record.number }}</span>
        <span v-if="isOnStage" class="text-kelp">on stage</span>
      </div>
      <h2 class="text-xl font-semibold">{{ record.name || 'No name' }}</h2>
    </header>
    <dl class="grid grid-cols-3 gap-3 border-b border-rule px-4 py-3 font-mono">
      <div>
        <dt class="text-xs text-haze">rise</dt>
        <dd>{{ record.rise.toFixed(1) }} s</dd>
      </div>
      <div>
        <dt class="text-xs text-haze">fall</dt>
        <dd>{{ record.fall.toFixed(1) }} s</dd>
      </div>
      <div>
        <dt class="text-xs text-haze">move</dt>
        <dd>{{ (record.move ?? record.rise).toFixed(1) }} s</dd>
      </div>
    </dl>
    <section class="border-b border-rule px-4 py-3" aria-labelledby="leaves-title">
      <div class="mb-2 flex items-baseline justify-between">
        <h3 id="leaves-title" class="font-semibold">On stage after it</h3>
        <span class="text-sm text-mist">{{ picture.length }} lit</span>
      </div>
      <div class="rounded-lg border border-rule bg-night">
        <StagePicture :fixtures="picture" :venue="venue" by-intensity />
      </div>
      <p class="mt-2 text-sm text-mist">Its light travels {{ travel }}.</p>
      <button type="button" class="quiet-button mt-2 w-full py-1.5" :disabled="isOnStage" @click="go">
        {{ isOnStage ? 'It is on stage' : 'Put it on stage' }}
      </button>
    </section>
    <section class="border-b border-rule px-4 py-3" aria-labelledby="palettes-title">
      <h3 id="palettes-title" class="mb-1 font-semibold">Set from palettes</h3>
      <p v-if="sets.palettes.length === 0" class="text-sm text-haze">This cue sets levels only.</p>
      <p v-for="[id, fixtures] in sets.palettes" :key="id" class="flex items-center gap-2 py-0.5">
        <svg width="10" height="10" aria-hidden="true">
          <rect width="10" height="10" rx="2" :class="PALETTE_FILL[show.all.palette.get(id)?.colour ?? 'sail']" />
        </svg>
        <NuxtLink
          class="underline decoration-rule-2 hover:text-coral"
          :to="{ path: `/shows/${show.id}/focus`, query: { palette: id } }"
          >{{ show.all.palette.get(id)?.name }}</NuxtLink
        >
        <span class="ml-auto text-sm text-mist"
          >{{ fixtures.size }} {{ fixtures.size === 1 ? 'fixture' : 'fixtures' }}</span
        >
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
        <span class="font-mono text-coral">{{ value.number }}</span> {{ value.what }}
      </p>
    </section>
  </aside>
</template>
