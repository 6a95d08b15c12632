/**
 * Reads groups, palettes and cues from the rows of a table. They speak of fixtures, targets and palettes
 * in words: what those mean is asked of the show as it will be with what comes in before them.
 */
import {
  cueRow,
  fixturesCalled,
  groupRow,
  paletteCalled,
  paletteRow,
  type CueRow,
  type GroupRow,
  type PaletteRow,
} from '../commands/shared/tableRows'
import { SHELVES } from '../attributes/families'
import type { ListInOrder } from '../cues/tracking'
import { normalisedName } from '../show/names'
import type { Show } from '../show/show'
import { numberIn, numbersIn, repeats, type Placed, type Read, type RowReader } from './rowReader'

type Row = Placed<ReadonlyMap<string, string>>

/** Whether a cell names fixtures of the show; says why not. */
function namesFixtures(reader: RowReader, show: Show, line: number, text: string): boolean {
  const called = fixturesCalled(show, text)
  if (!called.ok) reader.refuse(line, 'fixtures', called.message)
  else if (called.fixtures.length === 0) reader.refuse(line, 'fixtures', `“${text}” names no fixture`)
  return called.ok && called.fixtures.length > 0
}

/** A number of its own is what a row is known by; without one, its name. */
function isThere(
  known: Iterable<{ readonly number: number; readonly name: string }>,
  number: number | null,
  name: string,
): boolean {
  return [...known].some((one) =>
    number === null ? normalisedName(one.name) === normalisedName(name) : one.number === number,
  )
}

function repeatsItself(reader: RowReader, lines: Map<string, number>, { line, row }: Row, column: string): boolean {
  const number = row.get('number')
  return number
    ? repeats(reader, lines, line, 'number', number)
    : repeats(reader, lines, line, column, row.get(column) ?? '')
}

/** Groups: a name, a number if wanted, and who is in it as one types a selection. */
export function readGroups(reader: RowReader, show: Show): Read<GroupRow> {
  const rows: GroupRow[] = []
  const lines = new Map<string, number>()
  let alreadyThere = 0
  for (const placed of reader.rows) {
    const name = placed.row.get('group') ?? ''
    const fixtures = placed.row.get('fixtures') ?? ''
    if (repeatsItself(reader, lines, placed, 'group')) continue
    const n = numbersIn(reader, placed, ['number'], [])
    if (!n) continue
    const number = n.get('number') ?? null
    const row = reader.check(placed.line, groupRow, { number, name, fixtures }, (path) => path.replace('name', 'group'))
    if (!row || !namesFixtures(reader, show, placed.line, fixtures)) continue
    if (isThere(show.all.group.values(), number, name)) alreadyThere += 1
    else rows.push(row)
  }
  return { rows, problems: reader.sorted(), alreadyThere, total: reader.total }
}

/** Palettes: a target, a level, a zoom or a pool, for every fixture or for those it names. */
export function readPalettes(reader: RowReader, show: Show): Read<PaletteRow> {
  const rows: PaletteRow[] = []
  const targets = new Set([...show.all.target.values()].map(({ name }) => normalisedName(name)))
  const lines = new Map<string, number>()
  let alreadyThere = 0
  for (const placed of reader.rows) {
    if (repeatsItself(reader, lines, placed, 'palette')) continue
    const row = paletteIn(reader, placed)
    if (!row) continue
    if (row.target !== null && !targets.has(normalisedName(row.target))) {
      reader.refuse(placed.line, 'target', `there is no target called “${row.target}”`)
      continue
    }
    if (row.fixtures !== null && !namesFixtures(reader, show, placed.line, row.fixtures)) continue
    if (isThere(show.all.palette.values(), row.number, row.name)) alreadyThere += 1
    else rows.push(row)
  }
  return { rows, problems: reader.sorted(), alreadyThere, total: reader.total }
}

function paletteIn(reader: RowReader, placed: Row): PaletteRow | null {
  const text = (name: string) => placed.row.get(name) || null
  const n = numbersIn(reader, placed, ['number', 'zoom', 'pool'], [])
  const level = levelIn(reader, placed)
  if (!n || level === undefined) return null
  const shelf = text('shelf')?.toLowerCase() ?? null
  if (shelf !== null && !SHELVES.some((known) => known === shelf)) {
    reader.refuse(placed.line, 'shelf', `there is no shelf “${shelf}”; there are ${SHELVES.join(', ')}`)
    return null
  }
  const made = {
    number: n.get('number') ?? null,
    name: text('palette') ?? '',
    shelf,
    target: text('target'),
    level,
    zoom: n.get('zoom') ?? null,
    pool: n.get('pool') ?? null,
    fixtures: text('fixtures'),
    note: text('note') ?? '',
  }
  return reader.check(placed.line, paletteRow, made, (path) => path.replace('name', 'palette'))
}

/** A level in per cent as 0 to 1; null for an empty cell, undefined for what is none. */
function levelIn(reader: RowReader, { line, row }: Row): number | null | undefined {
  const cell = row.get('level') ?? ''
  const percent = numberIn(cell.replace(/\s*%$/, ''))
  if (percent === null) return null
  if (percent >= 0 && percent <= 100) return percent / 100
  reader.refuse(line, 'level', `“${cell}” is no level; 0 to 100 per cent is wanted`)
  return undefined
}

/** Cues: palettes recalled and a level, for fixtures it names; several rows with one number are one cue. */
export function readCues(reader: RowReader, show: Show, list: ListInOrder | null): Read<CueRow> {
  const taken = new Set((list?.cues ?? []).map(({ cue }) => cue.number))
  const rows: CueRow[] = []
  let alreadyThere = 0
  for (const placed of reader.rows) {
    const row = cueIn(reader, placed)
    if (!row) continue
    const unknown = row.palettes.find((name) => paletteCalled(show, name) === null)
    if (unknown !== undefined) {
      reader.refuse(placed.line, 'palettes', `there is no palette “${unknown}”`)
      continue
    }
    if (row.fixtures !== null && !namesFixtures(reader, show, placed.line, row.fixtures)) continue
    if (row.level !== null && row.fixtures === null && row.palettes.length === 0) {
      reader.refuse(placed.line, 'fixtures', 'is empty; a level needs fixtures or palettes')
      continue
    }
    if (taken.has(row.number)) alreadyThere += 1
    else rows.push({ ...row, palettes: [...row.palettes] })
  }
  return { rows, problems: reader.sorted(), alreadyThere, total: reader.total }

  function cueIn(rows: RowReader, placed: Row): CueRow | null {
    const text = (name: string) => placed.row.get(name) || null
    const n = numbersIn(rows, placed, ['cue', 'time'], ['cue'])
    const level = levelIn(rows, placed)
    if (!n || level === undefined) return null
    const made = {
      number: n.get('cue'),
      name: text('name') ?? '',
      time: n.get('time') ?? null,
      note: text('note') ?? '',
      fixtures: text('fixtures'),
      palettes: palettesIn(show, text('palettes') ?? ''),
      level,
    }
    return rows.check(placed.line, cueRow, made, (path) => path.replace('number', 'cue'))
  }
}

/** A cell that is one palette is that; else they stand between semicolons, or commas where there are none. */
function palettesIn(show: Show, text: string): string[] {
  if (text === '') return []
  if (paletteCalled(show, text) !== null) return [text]
  return text
    .split(text.includes(';') ? ';' : ',')
    .map((name) => name.trim())
    .filter((name) => name !== '')
}
