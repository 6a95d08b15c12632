<script setup lang="ts">
/** Through the cues: what another venue does to each, the worst ten, and each before and after side by side. */
import { ArrowDown, ArrowUp } from '@lucide/vue'
import { computed, ref } from 'vue'
import { cuePicture } from '#core/cues/comparedCue'
import { DARK } from '#core/cues/darkness'
import type { StageFixture } from '#core/cues/onStage'
import type { CueDifference } from '#core/refocus/cueDifference'
import { inVenue, lossesOf } from '#core/refocus/difference'
import { asCueId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { SURFACES } from '../../composables/stage/surfaces'
import { useCommit } from '../../composables/forms/useCommit'
import { lossesInWords, mostTurned } from '../../composables/refocus/differenceWords'
import type { GridColumn } from '../../composables/table/gridColumn'
import { useCueDifference } from '../../stores/cueDifference'
import { useDifference } from '../../stores/difference'
import GridTable from '../grid/GridTable.vue'
import CheckBar from '../travel/CheckBar.vue'
import FixtureDifferences from './FixtureDifferences.vue'
import SidesBySide from './SidesBySide.vue'
import VenuePair from './VenuePair.vue'

const props = defineProps<{ show: Show }>()
const cues = useCueDifference()
const venues = useDifference()
const { keep } = useCommit()
const surface = ref<'plan' | 'space'>('plan')

interface Row extends CueDifference {
  readonly id: string
  readonly place: number
}
const rows = computed<Row[]>(() => cues.shown.map((one, place) => ({ id: one.cue, place, ...one })))
const cueOf = ({ cue }: Pick<Row, 'cue'>) => props.show.all.cue.get(cue)
const columns: readonly GridColumn<Row>[] = [
  {
    ...{ key: 'cue', name: 'Cue', width: 60, isNumber: true },
    text: (row) => String(cueOf(row)?.number ?? ''),
    rank: (row) => cueOf(row)?.number ?? null,
  },
  { key: 'name', name: 'Name', width: 170, text: (row) => cueOf(row)?.name ?? '' },
  {
    ...{ key: 'losses', name: 'What is worse there', width: 340 },
    text: (row) => lossesInWords(props.show, row) || '–',
    rank: ({ place }) => place,
    trouble: (row) => lossesInWords(props.show, row) || null,
  },
  {
    ...{ key: 'turn', name: 'Turns, °', width: 80, isNumber: true },
    text: (row) => mostTurned(row).toFixed(1),
    rank: mostTurned,
  },
  { key: 'lit', name: 'Lit', width: 50, isNumber: true, text: ({ fixtures }) => String(fixtures.length) },
]
const selected = computed(() => new Set(cues.looked ? [cues.looked] : []))
const openedName = computed(() => {
  const known = cues.opened && cueOf(cues.opened)
  return known ? `Cue ${known.number} ${known.name}` : ''
})
const sides = computed(() => {
  const { opened } = cues
  if (!opened) return []
  /** Where something is worse, those it is worse for stand out. */
  const told = new Set(opened.fixtures.filter((one) => lossesOf(one).length > 0).map(({ fixture }) => fixture))
  return [venues.here, venues.there].flatMap((venue) => {
    if (!venue) return []
    const show = inVenue(props.show, venue)
    const lit = [...cuePicture(show, opened.cue).values()].filter(({ intensity }) => intensity > DARK)
    const isTold = ({ rigged }: StageFixture) => told.size === 0 || told.has(rigged.id)
    const [light, around] = [lit.filter(isTold), lit.filter((one) => !isTold(one))]
    return [{ show, light, around, name: props.show.all.venue.get(venue)?.name ?? '' }]
  })
})
const note = (text: string) =>
  cues.opened && text.trim() ? keep('noteCue', { cue: cues.opened.cue, text }) : Promise.resolve(null)
const NOTHING_TO_TYPE = async () => null
</script>

<template>
  <div class="flex min-h-0 flex-col">
    <GridTable
      label="Cues in both venues"
      class="min-h-0 flex-1"
      :rows="rows"
      :columns="columns"
      :selected="selected"
      :keep="NOTHING_TO_TYPE"
      :empty="
        cues.part !== null
          ? 'Looking through the cues.'
          : cues.found === null
            ? 'Press Look to go through every cue as it would be there.'
            : 'No cue looks different there.'
      "
      @select="(ids) => (cues.looked = ids[0] ? asCueId(ids[0]) : null)"
    >
      <template #bar>
        <VenuePair />
        <div v-if="cues.part !== null" class="flex w-40 items-center gap-2">
          <CheckBar :part="cues.part" label="Looking through the cues" />
          <button type="button" class="chip px-1.5" @click="cues.stop()">Stop</button>
        </div>
        <template v-else>
          <button type="button" class="chip chip-on" :disabled="venues.there === null" @click="cues.look()">
            Look
          </button>
          <button
            type="button"
            class="chip"
            :class="cues.onlyWorst ? 'chip-on' : ''"
            :aria-pressed="cues.onlyWorst"
            :disabled="cues.changed.length === 0"
            @click="cues.onlyWorst = !cues.onlyWorst"
          >
            the worst ten
          </button>
          <div class="flex gap-1" role="group" aria-label="Run through">
            <IconButton
              :icon="ArrowUp"
              :size="14"
              class="chip p-1.5"
              aria-label="Cue before that changes"
              :disabled="cues.shown.length === 0"
              @click="cues.step(-1)"
            />
            <IconButton
              :icon="ArrowDown"
              :size="14"
              class="chip p-1.5"
              aria-label="Next cue that changes"
              :disabled="cues.shown.length === 0"
              @click="cues.step(1)"
            />
          </div>
        </template>
      </template>
    </GridTable>
    <section
      v-if="cues.opened"
      class="grid min-h-0 flex-[1.5] grid-cols-[400px_minmax(0,1fr)] border-t border-rule"
      :aria-label="`${openedName} in both venues`"
    >
      <div class="flex min-h-0 flex-col bg-deck">
        <header class="flex items-center gap-2 px-4 py-2">
          <h3 class="min-w-0 truncate font-semibold">{{ openedName }}</h3>
          <SwitchField
            class="ml-auto"
            label="Seen"
            :options="SURFACES"
            :value="surface"
            @choose="(key) => (surface = key)"
          />
        </header>
        <div class="px-4 pb-2">
          <TextField label="Note for the pass" shown="" placeholder="too high" :keep="note" />
        </div>
        <div class="min-h-0 flex-1 overflow-y-auto px-4 pb-2" tabindex="0">
          <FixtureDifferences :show="show" :fixtures="cues.opened.fixtures" />
        </div>
      </div>
      <SidesBySide :sides="sides" :surface="surface" />
    </section>
  </div>
</template>
