/**
 * The table of fixtures as text: what stands in a cell, what a typed cell means, and what a block
 * pasted from a spreadsheet would change. Nothing is changed by a paste that has a fault anywhere.
 */
import { placeId } from '../show/compositeIds'
import type { FixtureChange } from '../commands/rig/changeFixtures'
import { fixtureRow, type FixtureRow } from '../commands/shared/fixtureRows'
import { asFixtureTypeId, asHangId, type FixtureId } from '../show/ids'
import { modesOf } from '../show/modes'
import { normalisedName } from '../show/names'
import { showRecordOf, type Show } from '../show/show'
import { knownNames } from './knownNames'
import { readFixtures } from './rigTable'
import { headerName, numberIn } from './rowReader'
import { headed } from './tableKind'
import { issueInWords } from '../show/faults'

/** The columns in order, and how each is headed. */
export const FIXTURE_COLUMNS = [
  'number',
  'name',
  'type',
  'mode',
  'hang',
  'along',
  'out',
  'drop',
  'yaw',
  'pitch',
  'roll',
  'universe',
  'address',
  'note',
] as const
export type FixtureColumn = (typeof FIXTURE_COLUMNS)[number]

export function isFixtureColumn(key: string): key is FixtureColumn {
  return FIXTURE_COLUMNS.some((column) => column === key)
}

/** The columns that hold a number. */
const NUMBERS = ['number', 'along', 'out', 'drop', 'yaw', 'pitch', 'roll', 'universe', 'address'] as const
type NumberColumn = (typeof NUMBERS)[number]
const isNumber = (column: FixtureColumn): column is NumberColumn => NUMBERS.some((n) => n === column)
/** Numbers that may be left empty. */
const isOptional = (column: NumberColumn) => column === 'universe' || column === 'address'

/** What stands in a cell; empty where there is nothing. */
export function fixtureCell(show: Show, id: string, column: FixtureColumn): string {
  const fixture = show.all.fixture.get(id)
  const place = show.all.fixturePlace.get(placeId(showRecordOf(show).venue, id))
  if (column === 'type') return show.all.fixtureType.get(fixture?.type ?? '')?.name ?? ''
  if (column === 'mode') return show.all.fixtureMode.get(fixture?.mode ?? '')?.name ?? ''
  if (column === 'hang') return show.all.hang.get(place?.hang ?? '')?.name ?? ''
  const value = { ...place, ...fixture }[column]
  if (typeof value === 'number') return String(Number(value.toFixed(4)) + 0)
  return value ?? ''
}

export type CellReading =
  { readonly ok: true; readonly change: FixtureChange } | { readonly ok: false; readonly message: string }

/** What typing `text` into a cell would change. */
export function readFixtureCell(show: Show, fixture: FixtureId, column: FixtureColumn, text: string): CellReading {
  const typed = text.trim()
  if (column === 'hang' || column === 'type' || column === 'mode') return readName(show, fixture, column, typed)
  if (!isNumber(column)) return checked(fixture, column, typed)
  const number = numberIn(typed)
  if (number === null && !isOptional(column)) return { ok: false, message: 'A number is wanted here.' }
  if (number !== null && Number.isNaN(number)) return { ok: false, message: `“${typed}” is not a number.` }
  return checked(fixture, column, number)
}

function checked(fixture: FixtureId, column: FixtureColumn, value: string | number | null): CellReading {
  const field = fixtureRow.shape[column].safeParse(value)
  if (field.success) return { ok: true, change: { fixture, [column]: value } }
  const [issue] = field.error.issues
  return { ok: false, message: `This ${issue ? issueInWords(issue) : 'does not fit'}.` }
}

function readName(show: Show, fixture: FixtureId, column: 'hang' | 'type' | 'mode', name: string): CellReading {
  const called = ([, thing]: readonly [string, { readonly name: string }]) =>
    normalisedName(thing.name) === normalisedName(name)
  if (column === 'hang') {
    const hang = [...show.all.hang].find(called)?.[0]
    if (!hang) return { ok: false, message: `There is no hang called “${name}”.` }
    return { ok: true, change: { fixture, hang: asHangId(hang) } }
  }
  if (column === 'type') {
    if (name === '') return { ok: true, change: { fixture, type: null } }
    const type = [...show.all.fixtureType].find(called)?.[0]
    if (!type) return { ok: false, message: `There is no fixture type called “${name}”.` }
    return { ok: true, change: { fixture, type: asFixtureTypeId(type) } }
  }
  const type = show.all.fixture.get(fixture)?.type ?? ''
  const mode = modesOf(show, type).find((known) => normalisedName(known.mode.name) === normalisedName(name))
  if (mode) return { ok: true, change: { fixture, mode: mode.id } }
  const of = show.all.fixtureType.get(type)?.name ?? 'A fixture without a type'
  return { ok: false, message: `${of} has no mode called “${name}”.` }
}

export interface FixtureBlock {
  readonly cells: readonly (readonly string[])[]
  /** The fixtures from the active row downwards and the columns from the active one on, as they stand. */
  readonly rows: readonly FixtureId[]
  readonly columns: readonly FixtureColumn[]
}

export type PasteReading =
  | { readonly kind: 'cells'; readonly changes: readonly FixtureChange[] }
  | { readonly kind: 'rows'; readonly rows: readonly FixtureRow[] }
  | { readonly kind: 'faults'; readonly faults: readonly string[] }

/**
 * Reads a pasted block. With a heading row that names the number it is whole fixtures, new or known
 * by their number; without one its cells fall into the table from the active cell on.
 */
export function readFixturePaste(show: Show, block: FixtureBlock): PasteReading {
  const header = (block.cells[0] ?? []).map(headerName)
  if (header.includes('number')) return readRows(show, block.cells)
  const faults: string[] = []
  const changes = new Map<FixtureId, FixtureChange>()
  block.cells.forEach((line, r) => {
    const fixture = block.rows[r]
    if (!fixture) return faults.push(`Line ${r + 1} has no fixture to go to: the table ends before it.`)
    line.forEach((text, c) => {
      const column = block.columns[c]
      if (!column) return faults.push(`Line ${r + 1} has ${line.length} cells; only ${block.columns.length} fit here.`)
      const reading = readFixtureCell(show, fixture, column, text)
      if (reading.ok) changes.set(fixture, { ...changes.get(fixture), ...reading.change })
      else faults.push(`Line ${r + 1}, ${column}: ${reading.message}`)
    })
  })
  return faults.length > 0 ? { kind: 'faults', faults } : { kind: 'cells', changes: [...changes.values()] }
}

function readRows(show: Show, cells: FixtureBlock['cells']): PasteReading {
  const table = headed(cells)
  if (table.kind === 'unknown') return { kind: 'faults', faults: [table.message] }
  if (table.kind !== 'fixtures') return { kind: 'faults', faults: ['This is not a table of fixtures.'] }
  const { rows, problems } = readFixtures(table.reader, { ...knownNames(show), numbers: new Set() })
  const refused = problems.filter(({ severity }) => severity === 'refused')
  if (refused.length === 0) return { kind: 'rows', rows }
  return {
    kind: 'faults',
    faults: refused.map(({ line, column, message }) => `Line ${line}${column ? `, ${column}` : ''}: ${message}.`),
  }
}
