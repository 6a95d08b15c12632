<script setup lang="ts">
/** Universe and address of every fixture, with clashes and overflow at the row. */
import { computed } from 'vue'
import { fixtureCell, isFixtureColumn, readFixtureCell } from '#core/exchange/fixtureCells'
import { patchFaultInWords, footprintOf, patchFaults, spansOf } from '#core/patch/span'
import { wholeFixtures } from '#core/show/cells'
import { withCells } from '#core/show/rig'
import { asFixtureId, type FixtureId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import type { GridColumn } from '../../composables/table/gridColumn'
import { useCommit } from '../../composables/forms/useCommit'
import { useSelection } from '../../stores/selection'
import GridTable from '../grid/GridTable.vue'

interface Row {
  readonly id: FixtureId
}

const props = defineProps<{ show: Show }>()
const selection = useSelection()
const { keep } = useCommit()

const rows = computed<Row[]>(() =>
  wholeFixtures(props.show)
    .sort(([, a], [, b]) => a.number - b.number)
    .map(([id]) => ({ id })),
)
const selected = computed(() => new Set<string>(selection.fixtures))
const spans = computed(() => new Map(spansOf(props.show).map((span) => [span.fixture, span])))

function faultOf({ id }: Row): string | null {
  const span = spans.value.get(id)
  const fault = patchFaults(props.show).get(id)
  return span && fault ? patchFaultInWords(fault, span) : null
}
function plainColumn(key: 'number' | 'name' | 'type' | 'mode' | 'hang', name: string, width: number): GridColumn<Row> {
  const isNumber = key === 'number'
  const text = ({ id }: Row) => fixtureCell(props.show, id, key)
  return { key, name, width, isNumber, text, ...(isNumber ? { rank: (row: Row) => Number(text(row)) } : {}) }
}
function patchColumn(key: 'universe' | 'address', name: string): GridColumn<Row> {
  const text = ({ id }: Row) => fixtureCell(props.show, id, key)
  const rank = (row: Row) => (text(row) === '' ? null : Number(text(row)))
  return { key, name, width: 76, isNumber: true, edit: 'text', text, rank, trouble: faultOf }
}
const columns: readonly GridColumn<Row>[] = [
  plainColumn('number', 'Number', 66),
  plainColumn('name', 'Name', 110),
  plainColumn('type', 'Type', 96),
  plainColumn('mode', 'Mode', 66),
  plainColumn('hang', 'Hang', 96),
  patchColumn('universe', 'Universe'),
  patchColumn('address', 'Address'),
  {
    key: 'last',
    name: 'Last',
    width: 60,
    isNumber: true,
    text: ({ id }) => String(spans.value.get(id)?.last ?? ''),
    rank: ({ id }) => spans.value.get(id)?.last ?? null,
  },
  {
    key: 'channels',
    name: 'Channels',
    width: 74,
    isNumber: true,
    text: ({ id }) => String(footprintOf(props.show, id) || ''),
    rank: ({ id }) => footprintOf(props.show, id),
  },
  { key: 'fault', name: 'Check', width: 210, text: (row) => faultOf(row) ?? '', trouble: faultOf },
]

async function commitCell(ids: readonly string[], column: string, text: string): Promise<string | null> {
  if (!isFixtureColumn(column)) return null
  const readings = ids.map((id) => readFixtureCell(props.show, asFixtureId(id), column, text))
  const fault = readings.find((reading) => !reading.ok)
  if (fault && !fault.ok) return fault.message
  return keep('changeFixtures', { changes: readings.flatMap((reading) => (reading.ok ? [reading.change] : [])) })
}
</script>

<template>
  <GridTable
    label="Patch"
    :rows="rows"
    :columns="columns"
    :selected="selected"
    :keep="commitCell"
    empty="No fixtures yet. Place some on the stage first."
    @select="(ids) => selection.set(ids.flatMap((id) => withCells(props.show, asFixtureId(id))))"
  />
</template>
