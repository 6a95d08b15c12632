<script setup lang="ts">
/** Everything that is per venue, all venues side by side: what differs is marked, everything can be changed here. */
import Papa from 'papaparse'
import { computed, ref, useTemplateRef } from 'vue'
import { kindWords, readVenueTable, valueFromText, valueText, venueTable } from '#core/exchange/venueTable'
import type { CommandInput } from '#core/commands/registry'
import type { VenueRow } from '#core/refocus/venueSheet'
import { counted } from '#core/show/counted'
import { showRecordOf, type Show } from '#core/show/show'
import { NOT_A_NUMBER } from '../../composables/forms/numbers'
import { useCommit } from '../../composables/forms/useCommit'
import { downloadTable } from '../../composables/table/downloadTable'
import type { GridColumn, GridPaste } from '../../composables/table/gridColumn'
import { LINE_KINDS, useRefocusRoom } from '../../stores/refocusRoom'
import GridTable from '../grid/GridTable.vue'

const props = defineProps<{ show: Show }>()
const room = useRefocusRoom()
const { offer } = useCommit()
const file = useTemplateRef<HTMLInputElement>('file')
const selected = ref<ReadonlySet<string>>(new Set())
/** What came of reading a table. */
const told = ref('')

interface Row extends VenueRow {
  readonly key: string
}
type Cells = CommandInput<'setInVenues'>['cells']
const keyOf = ({ kind, id, what }: VenueRow) => `${kind} ${id} ${what}`
const rows = computed(() => room.shown.map((row) => ({ ...row, key: keyOf(row) })))
const gridRows = computed(() => rows.value.map(({ key, id: thing, ...row }) => ({ ...row, thing, id: key })))
type GridRow = (typeof gridRows.value)[number]

const columns = computed<readonly GridColumn<GridRow>[]>(() => [
  { key: 'kind', name: 'Kind', width: 84, text: ({ kind }) => kindWords(kind) },
  { key: 'name', name: 'Name', width: 150, text: ({ name }) => name },
  { key: 'what', name: 'What', width: 120, text: ({ what, unit }) => (unit ? `${what}, ${unit}` : what) },
  ...room.venues.map(({ id, venue }, i): GridColumn<GridRow> => ({
    ...{
      key: id,
      name: id === room.inPlay ? `${venue.name} (plays)` : venue.name,
      width: 130,
      isNumber: true,
      edit: 'text',
    },
    text: (row) => valueText(row.values[i] ?? null, row),
    rank: (row) => row.values[i] ?? null,
    isMarked: (row) => row.differs && i > 0 && row.values[i] !== row.values[0],
  })),
])

function cellOf(row: Row, column: string, text: string): Cells[number] | string | null {
  const venue = room.venues.find(({ id }) => id === column)?.id
  if (!venue) return null
  const value = valueFromText(text, row.unit)
  return value === undefined ? NOT_A_NUMBER : { kind: row.kind, id: row.id, what: row.what, venue, value }
}
/** Sets cells; what follows is shown first where the show plays there. */
async function set(cells: readonly (Cells[number] | string | null)[]): Promise<string | null> {
  const trouble = cells.find((cell) => typeof cell === 'string')
  if (typeof trouble === 'string') return trouble
  const wanted = cells.flatMap((cell) => (cell !== null && typeof cell !== 'string' ? [cell] : []))
  return wanted.length > 0 ? offer('setInVenues', { cells: wanted }) : null
}
function commitCell(ids: readonly string[], column: string, text: string) {
  return set(rows.value.filter(({ key }) => ids.includes(key)).map((row) => cellOf(row, column, text)))
}
async function paste({ cells, rows: ids, columns: keys }: GridPaste) {
  const wanted = cells.flatMap((line, r) => {
    const row = rows.value.find(({ key }) => key === ids[r])
    return row ? line.flatMap((text, c) => cellOf(row, keys[c] ?? '', text)) : []
  })
  told.value = (await set(wanted)) ?? ''
}

/** The whole sheet as a file. */
function download() {
  downloadTable(`${showRecordOf(props.show).name}, venues`, venueTable(props.show))
}
async function upload() {
  const chosen = file.value?.files?.[0]
  if (!chosen) return
  const { data } = Papa.parse<string[]>((await chosen.text()).trimEnd(), { delimitersToGuess: [',', ';', '\t'] })
  if (file.value) file.value.value = ''
  const read = readVenueTable(props.show, data)
  if (read.kind === 'unknown') return void (told.value = read.message)
  const refused = await set(read.cells)
  const first = read.problems[0]
  const left = first ? ` ${counted(read.problems.length, 'line')} left out: line ${first.line}, ${first.message}.` : ''
  told.value = refused ?? `${counted(read.cells.length, 'value')} taken from ${chosen.name}.${left}`
}
</script>

<template>
  <div class="flex min-h-0 flex-col">
    <GridTable
      label="Per venue"
      class="min-h-0 flex-1"
      :rows="gridRows"
      :columns="columns"
      :selected="selected"
      :keep="commitCell"
      :empty="room.onlyDiffering ? 'Nothing differs between the venues here.' : 'Nothing is placed yet.'"
      @select="(ids) => (selected = new Set(ids))"
      @paste="paste"
    >
      <template #bar>
        <div class="flex flex-wrap gap-1" role="radiogroup" aria-label="Lines">
          <button
            v-for="{ key, name } in LINE_KINDS"
            :key="key"
            type="button"
            role="radio"
            class="chip px-2"
            :class="room.lines === key ? 'chip-on' : ''"
            :aria-checked="room.lines === key"
            @click="room.lines = key"
          >
            {{ name }}
          </button>
        </div>
        <button
          type="button"
          class="chip"
          :class="room.onlyDiffering ? 'chip-on' : ''"
          :aria-pressed="room.onlyDiffering"
          @click="room.onlyDiffering = !room.onlyDiffering"
        >
          only what differs
        </button>
        <button type="button" class="chip" @click="download">To a table</button>
        <button type="button" class="chip" @click="file?.click()">From a table</button>
        <input
          ref="file"
          type="file"
          accept=".csv,.tsv,.txt"
          class="hidden"
          aria-label="Table of venues"
          @change="upload"
        />
      </template>
    </GridTable>
    <p v-if="told" class="border-t border-rule px-4 py-1.5 text-sm text-mist" role="status">{{ told }}</p>
    <p class="border-t border-rule px-4 py-1.5 text-sm text-haze">
      Type “absent” for what a room does not have, and “by 61” where another fixture plays its values there.
    </p>
  </div>
</template>
