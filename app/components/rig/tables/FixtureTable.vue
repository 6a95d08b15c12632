<script setup lang="ts">
/** Every fixture of the show, with its place in this venue. Its selection is the selection on the stage. */
import { computed } from 'vue'
import {
  FIXTURE_COLUMNS,
  fixtureCell,
  isFixtureColumn,
  readFixtureCell,
  readFixturePaste,
} from '#core/exchange/fixtureCells'
import { patchFaultInWords, patchFaults, spansOf } from '#core/patch/span'
import { wholeFixtures } from '#core/show/cells'
import { asFixtureId, type FixtureId } from '#core/show/ids'
import { modesOf } from '#core/show/modes'
import { hangsOf, rigOf, withCells } from '#core/show/rig'
import type { Show } from '#core/show/show'
import type { GridColumn, GridPaste } from '../../../composables/table/gridColumn'
import { useCommit } from '../../../composables/forms/useCommit'
import { useDialogs } from '../../../stores/dialogs'
import { useMessages } from '../../../stores/messages'
import { useProposal } from '../../../stores/proposal'
import { useSelection } from '../../../stores/selection'
import GridTable from '../../grid/GridTable.vue'

interface Row {
  readonly id: FixtureId
}

const props = defineProps<{ show: Show }>()
const selection = useSelection()
const proposal = useProposal()
const messages = useMessages()
const dialogs = useDialogs()
const { offer } = useCommit()

const rows = computed<Row[]>(() =>
  wholeFixtures(props.show)
    .sort(([, a], [, b]) => a.number - b.number)
    .map(([id]) => ({ id })),
)
const selected = computed(() => new Set<string>(selection.fixtures))
const spans = computed(() => new Map(spansOf(props.show).map((span) => [span.fixture, span])))

/** Headings, widths in pixels, and whether the cells hold numbers. */
const LOOKS: Readonly<Record<(typeof FIXTURE_COLUMNS)[number], readonly [string, number, boolean]>> = {
  number: ['Number', 66, true],
  name: ['Name', 104, false],
  type: ['Type', 92, false],
  mode: ['Mode', 64, false],
  hang: ['Hang', 92, false],
  along: ['Along', 74, true],
  out: ['Out', 52, true],
  drop: ['Drop', 54, true],
  yaw: ['Yaw', 54, true],
  pitch: ['Pitch', 54, true],
  roll: ['Roll', 54, true],
  universe: ['Universe', 74, true],
  address: ['Address', 70, true],
  note: ['Note', 110, false],
}

const columns = computed<GridColumn<Row>[]>(() => {
  const hangs = hangsOf(props.show).map(({ hang }) => hang.name)
  const types = [...props.show.all.fixtureType.values()].map(({ name }) => name)
  const modes = [
    ...new Set(
      [...props.show.all.fixtureType.keys()].flatMap((type) => modesOf(props.show, type).map(({ mode }) => mode.name)),
    ),
  ]
  const choices: Readonly<Record<string, readonly string[]>> = { hang: hangs, type: types, mode: modes }
  return FIXTURE_COLUMNS.map((key) => {
    const [name, width, isNumber] = LOOKS[key]
    return {
      key,
      name,
      width,
      isNumber,
      text: ({ id }) => fixtureCell(props.show, id, key),
      rank: ({ id }) => {
        const text = fixtureCell(props.show, id, key)
        return text === '' ? null : isNumber ? Number(text) : text
      },
      edit: choices[key] ?? 'text',
      trouble: ({ id }) => troubleAt(id, key),
    }
  })
})

/** What is wrong with a cell, in words. */
function troubleAt(id: FixtureId, key: string): string | null {
  if (key === 'type' && props.show.all.fixture.get(id)?.type === null) return 'Without a type it cannot be aimed'
  if (key === 'hang' && !rigOf(props.show).has(id) && fixtureCell(props.show, id, 'hang') === '')
    return 'It hangs nowhere in this venue'
  if (key !== 'address' && key !== 'universe') return null
  const fault = patchFaults(props.show).get(id)
  const span = spans.value.get(id)
  return fault && span ? patchFaultInWords(fault, span) : null
}

async function keep(ids: readonly string[], column: string, text: string): Promise<string | null> {
  if (!isFixtureColumn(column)) return null
  const readings = ids.map((id) => readFixtureCell(props.show, asFixtureId(id), column, text))
  const fault = readings.find((reading) => !reading.ok)
  if (fault && !fault.ok) return fault.message
  return offer('changeFixtures', { changes: readings.flatMap((reading) => (reading.ok ? [reading.change] : [])) })
}

async function paste({ cells, rows: ids, columns: keys }: GridPaste) {
  const reading = readFixturePaste(props.show, {
    cells,
    rows: ids.map(asFixtureId),
    columns: keys.filter(isFixtureColumn),
  })
  if (reading.kind === 'rows') return proposal.offerOrSay('pasteFixtures', { rows: [...reading.rows] })
  if (reading.kind === 'cells') return proposal.offerOrSay('changeFixtures', { changes: [...reading.changes] })
  const more = reading.faults.length > 3 ? ` And ${reading.faults.length - 3} more.` : ''
  messages.say(`Nothing was pasted. ${reading.faults.slice(0, 3).join(' ')}${more}`, 'trouble')
}

function select(ids: readonly string[]) {
  selection.set(ids.flatMap((id) => withCells(props.show, asFixtureId(id))))
}
</script>

<template>
  <GridTable
    label="Fixtures"
    :rows="rows"
    :columns="columns"
    :selected="selected"
    :keep="keep"
    empty="No fixtures yet. Place a row of them along a hang, or paste them from a spreadsheet here."
    @select="select"
    @paste="paste"
  >
    <template #bar><slot /></template>
    <template #begin>
      <button type="button" class="quiet-button py-1.5" @click="dialogs.open = 'tables'">Open tables</button>
    </template>
  </GridTable>
</template>
