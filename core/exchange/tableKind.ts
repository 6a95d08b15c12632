/** What a table is of, told by its header. */
import { headerName, RowReader } from './rowReader'

/** Rows of cells as they stand in a file or were pasted. */
export type Cells = readonly (readonly string[])[]

export interface UnknownTable {
  readonly kind: 'unknown'
  readonly message: string
}

/** What tables are of, in the order they come in: what others speak of first. */
export const TABLE_KINDS = ['hangs', 'fixtures', 'setPieces', 'targets', 'groups', 'palettes', 'cues'] as const
export type TableKind = (typeof TABLE_KINDS)[number]

export const TABLE_WORDS: Readonly<Record<TableKind, string>> = {
  hangs: 'hang',
  fixtures: 'fixture',
  setPieces: 'set piece',
  targets: 'target',
  groups: 'group',
  palettes: 'palette',
  cues: 'cue',
}

/** The columns of a kind: those it must have, known by the first, and those that may be missing. */
export const TABLE_COLUMNS: Readonly<Record<TableKind, { wanted: readonly string[]; free: readonly string[] }>> = {
  hangs: { wanted: ['hang', 'x', 'y', 'z', 'length'], free: ['yaw', 'rise'] },
  fixtures: {
    wanted: ['number', 'type', 'hang', 'along'],
    free: ['mode', 'out', 'drop', 'yaw', 'pitch', 'roll', 'universe', 'address', 'name', 'note'],
  },
  setPieces: { wanted: ['set piece', 'x', 'y', 'width', 'depth', 'height'], free: ['z', 'yaw'] },
  targets: { wanted: ['target', 'x', 'y', 'z'], free: ['on'] },
  groups: { wanted: ['group', 'fixtures'], free: ['number'] },
  palettes: {
    wanted: ['palette'],
    free: ['number', 'shelf', 'target', 'level', 'zoom', 'pool', 'fixtures', 'note'],
  },
  cues: { wanted: ['cue'], free: ['name', 'time', 'fixtures', 'palettes', 'level', 'note'] },
}
/** A rig may have columns of any name beside its own: it is asked for first. */
const KNOWN_BY = ['cues', 'palettes', 'groups', 'setPieces', 'fixtures', 'targets', 'hangs'] as const

export interface Headed {
  readonly kind: TableKind
  readonly reader: RowReader
}

/** Finds what a table is by the first row that is not empty. */
export function headed(cells: Cells): Headed | UnknownTable {
  const unknown = (message: string) => ({ kind: 'unknown', message }) as const
  const headerAt = cells.findIndex((row) => row.some((cell) => cell.trim() !== ''))
  const header = cells[headerAt]?.map(headerName)
  if (!header) return unknown('The file is empty. It needs a header row and one row for each thing.')
  const kind = kindOf(header)
  if (kind === 'palette sheet')
    return unknown('This is a palette sheet: bring it in where palettes are made, in the Focus room.')
  if (!kind)
    return unknown(
      `The header has none of “hang”, “number” (a rig), “set piece”, “target”, “group”, “palette” and “cue”. It reads: ${header.join(', ')}.`,
    )
  const missing = TABLE_COLUMNS[kind].wanted.filter((name) => !header.includes(headerName(name)))
  if (missing.length > 0)
    return unknown(`The header of these ${TABLE_WORDS[kind]}s lacks ${missing.map((name) => `“${name}”`).join(', ')}.`)
  const reader = new RowReader(header)
  cells.slice(headerAt + 1).forEach((row, i) => reader.read(row, headerAt + 2 + i))
  return { kind, reader }
}

function kindOf(header: readonly string[]): TableKind | 'palette sheet' | null {
  const has = (name: string) => header.includes(name)
  if (has('palette') && has('serves')) return 'palette sheet'
  if (TABLE_COLUMNS.fixtures.wanted.every(has)) return 'fixtures'
  return KNOWN_BY.find((kind) => has(headerName(TABLE_COLUMNS[kind].wanted[0] ?? ''))) ?? null
}
