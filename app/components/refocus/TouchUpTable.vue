<script setup lang="ts">
/** The touch-ups of the venue in play: how far, by whom and when, why; they can be made good, or taken away. */
import { computed, ref } from 'vue'
import { length } from '#core/geometry/vector'
import { numberOfFixture } from '#core/show/cells'
import { touchUpId } from '#core/show/compositeIds'
import type { TouchUp } from '#core/show/entities'
import { showRecordOf, type Show } from '#core/show/show'
import { useCommit } from '../../composables/forms/useCommit'
import { touchInWords } from '../../composables/refocus/passWords'
import type { GridColumn } from '../../composables/table/gridColumn'
import { useShow } from '../../stores/show'
import GridTable from '../grid/GridTable.vue'
import MoveTargetInstead from './MoveTargetInstead.vue'
import TrueUpOffers from './TrueUpOffers.vue'

const props = defineProps<{ show: Show }>()
const store = useShow()
const { keep } = useCommit()
const selected = ref<ReadonlySet<string>>(new Set())

interface Row extends TouchUp {
  readonly id: string
}
const rows = computed<Row[]>(() => {
  const { venue } = showRecordOf(props.show)
  const here = [...props.show.all.touchUp.values()].filter((one) => one.venue === venue)
  return here.map((one) => ({ id: touchUpId(one.venue, one.palette, one.fixture), ...one }))
})
const paletteOf = ({ palette }: Row) => props.show.all.palette.get(palette)
const when = new Intl.DateTimeFormat(undefined, { dateStyle: 'short', timeStyle: 'short' })
const columns: readonly GridColumn<Row>[] = [
  {
    ...{ key: 'number', name: 'No.', width: 44, isNumber: true },
    text: (row) => String(paletteOf(row)?.number ?? ''),
    rank: (row) => paletteOf(row)?.number ?? null,
  },
  { key: 'palette', name: 'Palette', width: 140, text: (row) => paletteOf(row)?.name ?? '' },
  {
    ...{ key: 'fixture', name: 'Fixture', width: 60, isNumber: true },
    text: ({ fixture }) => numberOfFixture(props.show, fixture),
    rank: ({ fixture }) => props.show.all.fixture.get(fixture)?.number ?? null,
  },
  {
    ...{ key: 'touch', name: 'Touched up by', width: 310, text: touchInWords },
    rank: ({ offset, pan, tilt }) => length(offset) + (Math.abs(pan) + Math.abs(tilt)) / 100,
  },
  { key: 'by', name: 'By', width: 80, text: ({ by }) => props.show.all.person.get(by ?? '')?.name ?? '–' },
  { key: 'at', name: 'When', width: 150, text: ({ at }) => when.format(at), rank: ({ at }) => at },
  { key: 'note', name: 'Note', width: 140, edit: 'text', text: ({ note }) => note },
]
const rowsOf = (ids: Iterable<string>) => {
  const wanted = new Set(ids)
  return rows.value.filter(({ id }) => wanted.has(id))
}
const named = (ids: Iterable<string>) => rowsOf(ids).map(({ venue, palette, fixture }) => ({ venue, palette, fixture }))
const chosenRows = computed(() => rowsOf(selected.value))
const chosen = computed(() => named(selected.value))
const commitNote = (ids: readonly string[], _: string, note: string) =>
  keep('noteTouchUps', { touchUps: named(ids), note })
</script>

<template>
  <div class="grid min-h-0 grid-cols-[minmax(0,1fr)_330px]">
    <GridTable
      label="Touch-ups here"
      class="min-h-0"
      :rows="rows"
      :columns="columns"
      :selected="selected"
      :keep="commitNote"
      empty="Nothing is touched up at this venue. In a pass, or by Update only here, what is corrected comes to stand here."
      @select="(ids) => (selected = new Set(ids))"
    >
      <template #bar>
        <button
          type="button"
          class="chip"
          :disabled="chosen.length === 0"
          title="The palettes themselves change, and every venue follows"
          @click="store.send('makeTouchUpsGood', { touchUps: chosen })"
        >
          Make good in every venue
        </button>
        <MoveTargetInstead :show="show" :touch-ups="chosenRows" />
        <button
          type="button"
          class="chip"
          :disabled="chosen.length === 0"
          title="The light is as it is solved"
          @click="store.send('clearTouchUps', { touchUps: chosen })"
        >
          Take away
        </button>
      </template>
    </GridTable>
    <aside class="min-h-0 overflow-y-auto border-l border-rule bg-deck" aria-label="The rig">
      <TrueUpOffers :show="show" />
    </aside>
  </div>
</template>
