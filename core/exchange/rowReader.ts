/** The rows of a table by the names of their columns, with what is wrong told by line and column. */
import type { z } from 'zod'
import { issueInWords } from '../show/faults'
import { normalisedName } from '../show/names'

/** What is wrong with a row. A `refused` row is left out; a `look` row is taken but wants a look. */
export interface Problem {
  readonly line: number
  readonly column: string | null
  readonly message: string
  readonly severity: 'refused' | 'look'
}

/** A row of the table and the line of the file it stood on, counted from 1 with the header. */
export interface Placed<T> {
  readonly line: number
  readonly row: T
}

/** "﻿Along (m)" is `along`: case, spaces, byte-order mark and units in brackets do not matter. */
export function headerName(cell: string): string {
  return cell
    .replace(/^\uFEFF/, '')
    .replace(/[([{].*?[)\]}]/g, '')
    .toLowerCase()
    .replace(/[\s_.-]+/g, '')
}

/** Rows as objects by column name, and the problems found on the way. */
export class RowReader {
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
export function numbersIn<Name extends string>(
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

/** Reports a name or number that an earlier line of the same file has. */
export function repeats(
  reader: RowReader,
  lines: Map<string, number>,
  line: number,
  column: string,
  name: string,
): boolean {
  const key = normalisedName(name)
  const first = lines.get(key)
  if (first === undefined) {
    lines.set(key, line)
    return false
  }
  reader.refuse(line, column, `“${name}” stands on line ${first} already; each ${column} may stand only once`)
  return true
}

/** What a table comes to: rows that can come in, what is wrong with others, and how many are in the show already. */
export interface Read<T> {
  readonly rows: readonly T[]
  readonly problems: readonly Problem[]
  readonly alreadyThere: number
  readonly total: number
}
