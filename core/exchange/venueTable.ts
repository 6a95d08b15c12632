/**
 * The sheet of venues as a table: a line each, all venues side by side. Read back, lines are known by
 * their kind, name and what of it; columns by the names of venues.
 */
import { shortNumber } from '../show/shortNumber'
import { normalisedName } from '../show/names'
import type { VenueId } from '../show/ids'
import type { Show } from '../show/show'
import type { VenueCell } from '../commands/shared/venueCell'
import { venueSheet, venuesInOrder, type VenueRow, type VenueValue } from '../refocus/venueSheet'
import { withoutFormula } from './aimsTable'
import { headerName, numberIn, type Problem } from './rowReader'

/** What is written where there is nothing in a venue: of a thing, and of a touch-up. */
const ABSENT = 'absent'
const NONE = 'none'

/** A value as it stands in a cell: metres to the centimetre, or the millimetre where it has any; degrees to the hundredth. */
export function valueText(value: VenueValue, { kind, unit }: Pick<VenueRow, 'kind' | 'unit'>): string {
  if (value === null) return kind === 'touchUp' ? NONE : ABSENT
  if (typeof value === 'string') return value
  if (unit !== 'm') return shortNumber(value)
  const centimetres = value.toFixed(2)
  return Math.abs(Number(centimetres) - value) < 0.0005 ? centimetres : value.toFixed(3)
}

/** Reads what is typed in a cell; undefined where it is no number and one is wanted. */
export function valueFromText(text: string, unit: VenueRow['unit']): VenueValue | undefined {
  const typed = text.trim()
  if (typed === '' || typed === '–' || [ABSENT, NONE].includes(normalisedName(typed))) return null
  if (unit === '') return typed
  const number = numberIn(typed.replace('−', '-'))
  return number === null || Number.isNaN(number) ? undefined : number
}

const KIND_WORDS: Readonly<Record<VenueRow['kind'], string>> = {
  hang: 'hang',
  fixture: 'fixture',
  setPiece: 'set piece',
  target: 'target',
  opening: 'stage',
  zone: 'keep clear',
  level: 'level',
  touchUp: 'touch-up',
}
export const kindWords = (kind: VenueRow['kind']) => KIND_WORDS[kind]

const keyOf = (kind: string, name: string, what: string) => [kind, name, what].map(normalisedName).join('\n')

/** The whole sheet, with its headings. */
export function venueTable(show: Show): string[][] {
  const venues = venuesInOrder(show).map(({ venue }) => venue.name)
  const lines = venueSheet(show).map((row) => [
    ...[kindWords(row.kind), withoutFormula(row.name), row.what, row.unit],
    ...row.values.map((value) => withoutFormula(valueText(value, row))),
  ])
  return [['kind', 'name', 'what', 'unit', ...venues.map(withoutFormula)], ...lines]
}

export type VenueTableRead =
  | { readonly kind: 'unknown'; readonly message: string }
  | { readonly kind: 'read'; readonly cells: readonly VenueCell[]; readonly problems: readonly Problem[] }

/** A venue with the column it stands in. */
interface VenueColumn {
  readonly id: VenueId
  /** Its place among the venues. */
  readonly place: number
  readonly column: number
}

/** What of a line is otherwise in the show, and the columns of which nothing could be read. */
function lineRead(row: VenueRow, line: readonly string[], venues: readonly VenueColumn[]) {
  const cells: VenueCell[] = []
  const unread: VenueColumn[] = []
  for (const one of venues) {
    const text = line[one.column] ?? ''
    if (text.trim() === '') continue
    const value = valueFromText(text, row.unit)
    if (value === undefined) unread.push(one)
    else if (valueText(value, row) !== valueText(row.values[one.place] ?? null, row))
      cells.push({ kind: row.kind, id: row.id, what: row.what, venue: one.id, value })
  }
  return { cells, unread }
}

/** Reads such a table: the cells that are otherwise in the show, and what could not be read, line by line. */
export function readVenueTable(show: Show, rows: readonly (readonly string[])[]): VenueTableRead {
  const [head = [], ...lines] = rows.map((cells) => cells.map((cell) => cell.replace(/^'(?=[=+\-@\t\r])/, '')))
  const names = head.map(headerName)
  const [kindAt = -1, nameAt = -1, whatAt = -1] = ['kind', 'name', 'what'].map((name) => names.indexOf(name))
  const venues = venuesInOrder(show)
    .map(({ id, venue }, place) => ({ id, place, column: head.findIndex((cell) => isNamed(cell, venue.name)) }))
    .filter(({ column }) => column >= 0)
  if (Math.min(kindAt, nameAt, whatAt) < 0 || venues.length === 0)
    return {
      kind: 'unknown',
      message: 'A table of venues has the columns kind, name and what, and one by the name of each venue.',
    }
  const known = new Map(venueSheet(show).map((row) => [keyOf(kindWords(row.kind), row.name, row.what), row]))
  const cells: VenueCell[] = []
  const problems: Problem[] = []
  for (const [i, line] of lines.entries()) {
    const refuse = (column: string | null, message: string) =>
      problems.push({ line: i + 2, column, message, severity: 'refused' })
    const [kind = '', name = '', what = ''] = [kindAt, nameAt, whatAt].map((at) => line[at])
    const row = known.get(keyOf(kind, name, what))
    if (row) {
      const read = lineRead(row, line, venues)
      cells.push(...read.cells)
      for (const { column } of read.unread) refuse(head[column] ?? null, `“${line[column]}” is not a number`)
    } else if (line.some((cell) => cell.trim() !== '')) refuse('name', `there is no ${kind} “${name}” with “${what}”`)
  }
  return { kind: 'read', cells, problems }
}

const isNamed = (cell: string, name: string) => normalisedName(cell.replace(/^\uFEFF/, '')) === normalisedName(name)
