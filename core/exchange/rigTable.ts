/**
 * Reads hangs, a rig or targets from a table (the cells of a CSV file), row by row. A row that
 * cannot be used is reported with its line, column and reason; the good ones are kept.
 */
import type { z } from 'zod'
import { issueInWords } from '../show/faults'
import { normalisedName } from '../show/names'
import { fixtureRow, type FixtureRow } from '../commands/shared/fixtureRows'
import { hangRow, targetRow, type HangRow, type TargetRow } from '../commands/rig/importRig'

export type TableKind = 'hangs' | 'fixtures' | 'targets'

/** What is wrong with a row. A `refused` row is left out; a `look` row is taken but wants a look. */
export interface Problem {
  readonly line: number
  readonly column: string | null
  readonly message: string
  readonly severity: 'refused' | 'look'
}

export interface KnownType {
  readonly name: string
  readonly modes: readonly { readonly name: string; readonly channels: number }[]
}

/** What the show already has, so that rows can be checked against it. Names as they are written. */
export interface KnownNames {
  readonly hangs: readonly string[]
  /** Each type's name and its modes in order, with the number of channels they take. */
  readonly types: readonly KnownType[]
  readonly numbers: ReadonlySet<number>
  readonly targets: readonly string[]
}

/** A row of the table and the line of the file it stood on, counted from 1 with the header. */
interface Placed<T> {
  readonly line: number
  readonly row: T
}

export type TableReading =
  | { readonly kind: 'unknown'; readonly message: string }
  | ({ readonly problems: readonly Problem[]; readonly alreadyThere: number; readonly total: number } & (
      | { readonly kind: 'hangs'; readonly rows: readonly HangRow[] }
      | { readonly kind: 'fixtures'; readonly rows: readonly FixtureRow[] }
      | { readonly kind: 'targets'; readonly rows: readonly TargetRow[] }
    ))

const REQUIRED: Readonly<Record<TableKind, readonly string[]>> = {
  hangs: ['hang', 'x', 'y', 'z', 'length'],
  fixtures: ['number', 'type', 'hang', 'along'],
  targets: ['target', 'x', 'y', 'z'],
}

/** "﻿Along (m)" is `along`: case, spaces, byte-order mark and units in brackets do not matter. */
export function headerName(cell: string): string {
  return cell
    .replace(/^\uFEFF/, '')
    .replace(/[([{].*?[)\]}]/g, '')
    .toLowerCase()
    .replace(/[\s_.-]+/g, '')
}

/** Reads a table whose first row that is not empty is its header. */
export function readRigTable(cells: readonly (readonly string[])[], known: KnownNames): TableReading {
  const headerAt = cells.findIndex((row) => row.some((cell) => cell.trim() !== ''))
  const header = cells[headerAt]?.map(headerName)
  if (!header)
    return { kind: 'unknown', message: 'The file is empty. It needs a header row and one row for each thing.' }
  const kind = kindOf(header)
  if (!kind)
    return {
      kind: 'unknown',
      message: `The header has neither “number” (a rig), “hang” (hangs) nor “target” (targets). It reads: ${header.join(', ')}.`,
    }
  const missing = REQUIRED[kind].filter((name) => !header.includes(name))
  if (missing.length > 0)
    return { kind: 'unknown', message: `The header of these ${kind} lacks ${missing.map((m) => `“${m}”`).join(', ')}.` }
  const reader = new RowReader(header)
  cells.slice(headerAt + 1).forEach((row, i) => reader.read(row, headerAt + 2 + i))
  if (kind === 'hangs') return { kind, ...readHangs(reader, known) }
  if (kind === 'targets') return { kind, ...readTargets(reader, known) }
  return { kind, ...readFixtures(reader, known) }
}

function kindOf(header: readonly string[]): TableKind | null {
  if (header.includes('number')) return 'fixtures'
  if (header.includes('target')) return 'targets'
  return header.includes('hang') ? 'hangs' : null
}

/** Rows as objects by column name, and the problems found on the way. */
class RowReader {
  readonly problems: Problem[] = []
  readonly rows: Placed<ReadonlyMap<string, string>>[] = []
  total = 0
  readonly #header: readonly string[]

  constructor(header: readonly string[]) {
    this.#header = header
  }

  read(cells: readonly string[], line: number): void {
    if (cells.every((cell) => cell.trim() === '')) return
    this.total += 1
    if (cells.length > this.#header.length) {
      this.refuse(
        line,
        null,
        `has ${cells.length} cells where the header has ${this.#header.length}: a decimal comma, perhaps. Write 0.74, or put the cell in quotes.`,
      )
      return
    }
    this.rows.push({ line, row: new Map(this.#header.map((name, i) => [name, (cells[i] ?? '').trim()])) })
  }

  refuse(line: number, column: string | null, message: string): void {
    this.problems.push({ line, column, message, severity: 'refused' })
  }

  look(line: number, column: string | null, message: string): void {
    this.problems.push({ line, column, message, severity: 'look' })
  }

  /** Checks a made row against its schema; every fault is reported by its column. */
  check<T>(line: number, schema: z.ZodType<T>, made: unknown, columnOf: (path: string) => string): T | null {
    const checked = schema.safeParse(made)
    if (checked.success) return checked.data
    for (const issue of checked.error.issues) {
      const column = columnOf(issue.path.join('.'))
      this.refuse(line, column, `${issueInWords(issue)}; found ${foundAt(made, issue.path)}`)
    }
    return null
  }

  sorted(): Problem[] {
    return [...this.problems].sort((a, b) => a.line - b.line)
  }
}

function foundAt(made: unknown, path: readonly PropertyKey[]): string {
  const found = path.reduce<unknown>(
    (value, key) => (value === null || value === undefined ? value : Reflect.get(Object(value), key)),
    made,
  )
  return found === undefined || found === '' ? 'nothing' : `“${String(found)}”`
}

/** A number as written: point or comma; null for an empty cell, NaN for what is no number. */
export function numberIn(cell: string | undefined): number | null {
  const text = (cell ?? '').trim()
  if (text === '') return null
  return /^[+-]?(\d+([.,]\d*)?|[.,]\d+)$/.test(text) ? Number(text.replace(',', '.')) : Number.NaN
}

/** Reads the numeric columns of a row; reports and returns null when one is not a number or missing. */
function numbersIn<Name extends string>(
  reader: RowReader,
  { line, row }: Placed<ReadonlyMap<string, string>>,
  names: readonly Name[],
  required: readonly Name[],
): Map<Name, number | null> | null {
  const found = new Map<Name, number | null>()
  let sound = true
  for (const name of names) {
    const number = numberIn(row.get(name))
    if (number === null && required.includes(name)) {
      reader.refuse(line, name, 'is empty; a number is wanted')
      sound = false
    } else if (number !== null && Number.isNaN(number)) {
      reader.refuse(line, name, `“${row.get(name)}” is not a number`)
      sound = false
    } else found.set(name, number)
  }
  return sound ? found : null
}

type Read<T> = { rows: T[]; problems: Problem[]; alreadyThere: number; total: number }

function readHangs(reader: RowReader, known: KnownNames): Read<HangRow> {
  const rows: HangRow[] = []
  const there = new Set(known.hangs.map(normalisedName))
  const lines = new Map<string, number>()
  let alreadyThere = 0
  for (const placed of reader.rows) {
    const name = placed.row.get('hang') ?? ''
    if (repeats(reader, lines, placed.line, 'hang', name)) continue
    const n = numbersIn(reader, placed, ['x', 'y', 'z', 'yaw', 'rise', 'length'], ['x', 'y', 'z', 'length'])
    if (!n) continue
    const rise = n.get('rise') ?? 0
    const origin = { x: n.get('x'), y: n.get('y'), z: n.get('z') }
    const made = {
      name,
      form: formOf(name, rise, n.get('z') ?? 0),
      origin,
      yaw: n.get('yaw') ?? 0,
      rise,
      length: n.get('length'),
    }
    const row = reader.check(placed.line, hangRow, made, (path) => path.replace('origin.', '').replace('name', 'hang'))
    if (!row) continue
    if (there.has(normalisedName(name))) alreadyThere += 1
    else rows.push(row)
  }
  return { rows, problems: reader.sorted(), alreadyThere, total: reader.total }
}

function formOf(name: string, rise: number, height: number): HangRow['form'] {
  if (Math.abs(rise) >= 45) return 'boom'
  if (height < 0.5) return 'floor'
  return /bridge/i.test(name) ? 'bridge' : 'bar'
}

function readTargets(reader: RowReader, known: KnownNames): Read<TargetRow> {
  const rows: TargetRow[] = []
  const there = new Set(known.targets.map(normalisedName))
  const lines = new Map<string, number>()
  let alreadyThere = 0
  for (const placed of reader.rows) {
    const name = placed.row.get('target') ?? ''
    if (repeats(reader, lines, placed.line, 'target', name)) continue
    const n = numbersIn(reader, placed, ['x', 'y', 'z'], ['x', 'y', 'z'])
    if (!n) continue
    const made = { name, position: { x: n.get('x'), y: n.get('y'), z: n.get('z') } }
    const row = reader.check(placed.line, targetRow, made, (path) =>
      path.replace('position.', '').replace('name', 'target'),
    )
    if (!row) continue
    if (there.has(normalisedName(name))) alreadyThere += 1
    else rows.push(row)
  }
  return { rows, problems: reader.sorted(), alreadyThere, total: reader.total }
}

/** Reports a name or number that an earlier line of the same file has. */
function repeats(reader: RowReader, lines: Map<string, number>, line: number, column: string, name: string): boolean {
  const key = normalisedName(name)
  const first = lines.get(key)
  if (first === undefined) {
    lines.set(key, line)
    return false
  }
  reader.refuse(line, column, `“${name}” stands on line ${first} already; each ${column} may stand only once`)
  return true
}

const FIXTURE_NUMBERS = ['number', 'along', 'out', 'drop', 'yaw', 'pitch', 'roll', 'universe', 'address'] as const

function readFixtures(reader: RowReader, known: KnownNames): Read<FixtureRow> {
  const rows: FixtureRow[] = []
  const hangs = new Set(known.hangs.map(normalisedName))
  const types = new Map(known.types.map((type) => [normalisedName(type.name), type]))
  const lines = new Map<string, number>()
  const patched: { line: number; row: FixtureRow; last: number }[] = []
  let alreadyThere = 0
  for (const placed of reader.rows) {
    const row = fixtureIn(reader, placed, hangs, types, lines)
    if (!row) continue
    if (row.universe !== null && row.address !== null) {
      const last = row.address + channelsOf(types, row) - 1
      lookForClash(reader, patched, placed.line, row, last)
      patched.push({ line: placed.line, row, last })
    }
    if (known.numbers.has(row.number)) alreadyThere += 1
    else rows.push(row)
  }
  return { rows, problems: reader.sorted(), alreadyThere, total: reader.total }
}

function fixtureIn(
  reader: RowReader,
  placed: Placed<ReadonlyMap<string, string>>,
  hangs: ReadonlySet<string>,
  types: ReadonlyMap<string, KnownType>,
  lines: Map<string, number>,
): FixtureRow | null {
  const { line, row } = placed
  const text = (name: string) => row.get(name) ?? ''
  const before = reader.problems.length
  const n = numbersIn(reader, placed, FIXTURE_NUMBERS, ['number', 'along'])
  if (!hangs.has(normalisedName(text('hang')))) reader.refuse(line, 'hang', `there is no hang called “${text('hang')}”`)
  const type = types.get(normalisedName(text('type')))
  if (!type) reader.refuse(line, 'type', `there is no fixture type called “${text('type')}”`)
  else if (text('mode') && !type.modes.some((mode) => normalisedName(mode.name) === normalisedName(text('mode'))))
    reader.refuse(line, 'mode', `${type.name} has no mode called “${text('mode')}”`)
  const isRepeated = n !== null && repeats(reader, lines, line, 'number', text('number'))
  if (!n || isRepeated) return null
  const made = {
    number: n.get('number'),
    name: text('name'),
    type: text('type'),
    mode: text('mode') || null,
    hang: text('hang'),
    along: n.get('along'),
    out: n.get('out') ?? 0,
    drop: n.get('drop') ?? 0,
    yaw: n.get('yaw') ?? 0,
    pitch: n.get('pitch') ?? 0,
    roll: n.get('roll') ?? 0,
    universe: n.get('universe') ?? null,
    address: n.get('address') ?? null,
    note: text('note'),
  }
  const checked = reader.check(line, fixtureRow, made, (path) => path)
  return reader.problems.length > before ? null : checked
}

/** How many channels a row takes: by its mode, else by its type's first one. */
function channelsOf(types: ReadonlyMap<string, KnownType>, { type, mode }: FixtureRow): number {
  const modes = types.get(normalisedName(type))?.modes ?? []
  const taken = mode === null ? modes[0] : modes.find(({ name }) => normalisedName(name) === normalisedName(mode))
  return taken?.channels ?? 1
}

function lookForClash(
  reader: RowReader,
  patched: readonly { line: number; row: FixtureRow; last: number }[],
  line: number,
  row: FixtureRow,
  last: number,
): void {
  const address = row.address ?? 0
  if (last > 512)
    reader.look(line, 'address', `channels ${address} to ${last} run past the end of universe ${row.universe}`)
  const clash = patched.find(
    (p) => p.row.universe === row.universe && address <= p.last && (p.row.address ?? 0) <= last,
  )
  if (clash)
    reader.look(
      line,
      'address',
      `${row.universe}.${address} overlaps fixture ${clash.row.number} on line ${clash.line} (${clash.row.address} to ${clash.last})`,
    )
}
