/**
 * Tables made elsewhere (the cells of CSV files, or pasted), each known by its header. A row that cannot
 * be used is reported with its line, column and reason; the good ones are kept. Tables may speak of what
 * comes with others: each is read against the show as the ones before it leave it.
 */
import { runCommand } from '../commands/registry'
import type { FixtureRow } from '../commands/shared/fixtureRows'
import type { CueRow, GroupRow, HangRow, PaletteRow, SetPieceRow, TargetRow } from '../commands/shared/tableRows'
import { listsInOrder } from '../cues/tracking'
import { commandId, personId, type CueListId } from '../show/ids'
import type { Show } from '../show/show'
import { knownNames } from './knownNames'
import { readFixtures, readHangs, readSetPieces, readTargets } from './rigTable'
import type { Read } from './rowReader'
import { readCues, readGroups, readPalettes } from './showTable'
import { headed, TABLE_KINDS, type Cells, type Headed, type TableKind, type UnknownTable } from './tableKind'

/** What a row of each kind is. */
interface RowsOf extends Record<TableKind, unknown> {
  hangs: HangRow
  fixtures: FixtureRow
  setPieces: SetPieceRow
  targets: TargetRow
  groups: GroupRow
  palettes: PaletteRow
  cues: CueRow
}

export type TableReading = UnknownTable | { [K in TableKind]: { readonly kind: K } & Read<RowsOf[K]> }[TableKind]

function readRows({ kind, reader }: Headed, show: Show, list: CueListId | null): TableReading {
  switch (kind) {
    case 'hangs':
      return { kind, ...readHangs(reader, knownNames(show)) }
    case 'fixtures':
      return { kind, ...readFixtures(reader, knownNames(show)) }
    case 'setPieces':
      return { kind, ...readSetPieces(reader, knownNames(show)) }
    case 'targets':
      return { kind, ...readTargets(reader, knownNames(show)) }
    case 'groups':
      return { kind, ...readGroups(reader, show) }
    case 'palettes':
      return { kind, ...readPalettes(reader, show) }
    case 'cues': {
      const lists = listsInOrder(show)
      return { kind, ...readCues(reader, show, lists.find(({ id }) => id === list) ?? lists[0] ?? null) }
    }
  }
}

/** What tables bring together, as the command takes it. */
export type TableRows = { [K in TableKind]: RowsOf[K][] }

const noRows = (): TableRows => ({
  hangs: [],
  fixtures: [],
  setPieces: [],
  targets: [],
  groups: [],
  palettes: [],
  cues: [],
})

/** Rows of one reading beside none of the others. */
function rowsOf(reading: TableReading): TableRows {
  return reading.kind === 'unknown' ? noRows() : { ...noRows(), [reading.kind]: [...reading.rows] }
}

export function rowsTogether(readings: readonly TableReading[]): TableRows {
  const together = noRows()
  for (const one of readings.map(rowsOf)) {
    together.hangs.push(...one.hangs)
    together.fixtures.push(...one.fixtures)
    together.setPieces.push(...one.setPieces)
    together.targets.push(...one.targets)
    together.groups.push(...one.groups)
    together.palettes.push(...one.palettes)
    together.cues.push(...one.cues)
  }
  return together
}

/** Reads tables in whichever order they were given; the readings come in that order. `list` is where cues would go; null for the first. */
export function readTables(show: Show, tables: readonly Cells[], list: CueListId | null = null): TableReading[] {
  const readings = new Map<number, TableReading>()
  const found = tables.map(headed)
  let staged = show
  for (const kind of TABLE_KINDS)
    for (const [i, one] of found.entries()) {
      if (one.kind !== kind) continue
      const reading = readRows(one, staged, list)
      readings.set(i, reading)
      staged = withRows(staged, rowsOf(reading), list, i)
    }
  return found.flatMap((one, i) => (one.kind === 'unknown' ? one : (readings.get(i) ?? [])))
}

/** Whoever asks makes no difference to what tables bring. */
const NOBODY = personId.parse('nobody')

function withRows(show: Show, rows: TableRows, list: CueListId | null, table: number): Show {
  const id = commandId.parse(`table${table}`)
  const outcome = runCommand(show, 'importTables', { ...rows, list }, id, { person: NOBODY, now: 0 })
  return outcome.ok ? outcome.after() : show
}
