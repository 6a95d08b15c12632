<script setup lang="ts">
/** Choosing a lens: what the light of the selected fixtures is at a place, and who else can light it as asked. */
import { LEADING } from '#core/attributes/catalogue'
import { computed, reactive } from 'vue'
import { whoCanLight, lightAt, type Candidate, type LightAt } from '#core/rig/throwTo'
import { fixtureNumber } from '#core/show/cells'
import { isHead, rigOf } from '#core/show/rig'
import type { Show } from '#core/show/show'
import { pointOn, targetsOf } from '#core/show/targets'
import { shortNumber } from '#core/show/shortNumber'
import { numberTyped } from '#core/show/numberTyped'
import PhotometryOut from '../types/PhotometryOut.vue'
import { useStage } from '../../stores/stage'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'

const props = defineProps<{ show: Show }>()
const stage = useStage()
const selection = useSelection()
const store = useShow()
const wish = reactive({ diameter: '1.8', lux: '600' })

const targets = computed(() => [
  { key: '', name: 'A place pressed on the stage' },
  ...[...targetsOf(props.show).values()]
    .map(({ id, target }) => ({ key: `${id}`, name: target.name }))
    .sort((a, b) => a.name.localeCompare(b.name)),
])
const target = computed({
  get: () => (stage.lensPlace ? `${stage.lensPlace.target ?? ''}` : null),
  set: (key: string | null) => {
    const placed = targetsOf(props.show).get(key ?? '')
    stage.lensPlace = placed ? { target: placed.id, at: pointOn(placed, null) } : null
  },
})
/** Where the place is now: a target may have moved since. */
const place = computed(() => {
  const placed = stage.lensPlace && targetsOf(props.show).get(stage.lensPlace.target ?? '')
  return placed ? pointOn(placed, null) : (stage.lensPlace?.at ?? null)
})

const wanted = computed(() => {
  const diameter = numberTyped(wish.diameter)
  const lux = numberTyped(wish.lux)
  return diameter !== null && diameter > 0 && lux !== null && lux >= 0 ? { diameter, lux } : null
})
const selected = computed<LightAt[]>(() => {
  const at = place.value
  if (!at) return []
  return selection.fixtures.flatMap((id) => {
    const rigged = rigOf(props.show).get(id)
    const beam = stage.seen(id)?.zoom.angle
    return rigged && isHead(rigged) && beam !== undefined ? [lightAt(props.show, rigged, at, beam)] : []
  })
})
const ranked = computed<Candidate[]>(() =>
  place.value && wanted.value ? whoCanLight(props.show, { place: place.value, ...wanted.value }) : [],
)
const able = computed(() => ranked.value.filter(({ lacks }) => lacks.length === 0))
const unable = computed(() => ranked.value.filter(({ lacks }) => lacks.length > 0))

const LACKS = { reach: 'cannot reach it', zoom: 'zoom does not go there', light: 'too dim' } as const
function reason(candidate: Candidate): string {
  return candidate.lacks
    .map((lack) => (lack === 'clear way' ? `blocked by ${pieceName(candidate)}` : LACKS[lack]))
    .join(', ')
}
const pieceName = ({ blockedBy }: LightAt) => props.show.all.setPiece.get(blockedBy ?? '')?.name ?? 'the set'
const pool = ({ pool: size }: LightAt) => (size ? `${size.long.toFixed(2)} × ${size.short.toFixed(2)}` : 'open')
const lux = (value: number) => (value >= 1000 ? Math.round(value / 10) * 10 : Math.round(value)).toString()

/** Chooses a candidate: selected, with the zoom that makes the pool. */
async function choose({ rigged, beam }: Candidate) {
  selection.set([rigged.id])
  await store.send('setValue', {
    fixtures: [rigged.id],
    attribute: LEADING.width,
    value: { kind: 'number', number: Math.round(beam * 10) / 10 },
  })
}
</script>

<template>
  <DraftChoice v-model="target" label="Place" :options="targets" />
  <p v-if="!place" class="text-sm text-mist">Press a place on the stage, or choose a target.</p>
  <p v-else class="font-mono text-sm text-mist">
    {{ shortNumber(place.x) }} across, {{ shortNumber(place.y) }} upstage, {{ shortNumber(place.z) }} high
  </p>
  <section v-if="place && selected.length" aria-label="Light of the selection">
    <h3 class="mb-1 text-sm font-semibold">Selected, at their zoom</h3>
    <table class="w-full text-right font-mono text-sm">
      <thead class="text-xs text-haze">
        <tr>
          <th class="text-left font-normal">no.</th>
          <th class="font-normal">throw m</th>
          <th class="font-normal">pool m</th>
          <th class="font-normal">lux</th>
          <th class="font-normal" title="Angle between the light and the surface’s upright">from</th>
          <th><span class="sr-only">Its light as a file</span></th>
        </tr>
      </thead>
      <tbody>
        <template v-for="light in selected" :key="light.rigged.id">
          <tr>
            <th scope="row" class="text-left font-normal">{{ fixtureNumber(light.rigged.fixture) }}</th>
            <td>{{ light.throwMetres.toFixed(1) }}</td>
            <td>{{ pool(light) }}</td>
            <td>{{ lux(light.lux) }}</td>
            <td>{{ light.incidence.toFixed(0) }}°</td>
            <td class="w-8">
              <PhotometryOut
                :maker="light.rigged.type.maker"
                :name="light.rigged.type.name"
                :optics="light.rigged.type.optics"
                :beam="light.beam"
              />
            </td>
          </tr>
          <tr v-if="light.blockedBy || light.reach !== 'reached'">
            <td colspan="6" class="pb-1 text-left font-sans text-xs text-coral">
              {{ light.reach === 'reached' ? `blocked by ${pieceName(light)}` : 'cannot reach it' }}
            </td>
          </tr>
        </template>
      </tbody>
    </table>
    <p class="mt-1 text-xs text-haze">
      On {{ selected[0]?.surface }}, at full, {{ selected[0]?.blockedBy ? 'were the way clear' : 'open white' }}.
    </p>
  </section>
  <div class="grid grid-cols-2 gap-2 border-t border-rule pt-3">
    <DraftText
      v-model="wish.diameter"
      label="Wanted: pool across"
      unit="m"
      :trouble="wanted ? null : 'A width and a brightness are wanted.'"
    />
    <DraftText v-model="wish.lux" label="In the middle" unit="lux" />
  </div>
  <section v-if="place && wanted" aria-label="Who can light it">
    <h3 class="mb-1 text-sm font-semibold" role="status">
      {{ able.length }} of {{ ranked.length }} can, the brightest first
    </h3>
    <table class="w-full text-right font-mono text-sm">
      <thead class="text-xs text-haze">
        <tr>
          <th class="text-left font-normal">no.</th>
          <th class="font-normal">zoom</th>
          <th class="font-normal">throw</th>
          <th class="font-normal">pool m</th>
          <th class="font-normal">lux</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="light in able" :key="light.rigged.id" class="hover:bg-plank">
          <th scope="row" class="text-left font-normal">
            <button
              type="button"
              class="rounded px-1 text-shoal hover:underline"
              :title="`Select ${fixtureNumber(light.rigged.fixture)} and zoom it to ${light.beam.toFixed(1)}°`"
              @click="choose(light)"
            >
              {{ fixtureNumber(light.rigged.fixture) }}
            </button>
          </th>
          <td>{{ light.beam.toFixed(1) }}°</td>
          <td>{{ light.throwMetres.toFixed(1) }}</td>
          <td>{{ pool(light) }}</td>
          <td class="text-kelp">{{ lux(light.lux) }}</td>
        </tr>
      </tbody>
    </table>
    <h3 v-if="unable.length" class="mt-3 mb-1 text-sm font-semibold text-haze">Cannot</h3>
    <ul class="text-sm">
      <li v-for="light in unable" :key="light.rigged.id" class="flex gap-2">
        <span class="w-8 font-mono">{{ fixtureNumber(light.rigged.fixture) }}</span>
        <span class="text-mist">{{ reason(light) }}</span>
      </li>
    </ul>
  </section>
</template>
