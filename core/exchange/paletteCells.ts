/** Palettes as a table, one line a value: written for spreadsheets, and read back from them. */
import type { z } from 'zod'
import { issueInWords } from '../show/faults'
import { portablePalette, type PortablePalette, type SheetFault } from './paletteSheet'

export const PALETTE_COLUMNS = [
  'palette',
  'name',
  'shelf',
  'colour',
  'symbol',
  'note',
  'time (s)',
  'take',
  'held back',
  'serves',
  'attribute',
  'kind',
  'value',
  'target',
  'at',
  'x (m)',
  'y (m)',
  'z (m)',
  'side',
  'pan (deg)',
  'tilt (deg)',
] as const
type Column = (typeof PALETTE_COLUMNS)[number]
type Cells = Partial<Record<Column, string | number>>

/** Rows under the header, in the order of the columns. */
export function paletteRows(palettes: readonly PortablePalette[]): (string | number)[][] {
  return palettes.flatMap((palette) =>
    palette.values.map((line) => {
      const cells: Cells = { ...headOf(palette), ...lineOf(line) }
      return PALETTE_COLUMNS.map((column) => cells[column] ?? '')
    }),
  )
}

function headOf({ number, name, shelf, colour, symbol, note, time, take, heldBack }: PortablePalette): Cells {
  return {
    palette: number,
    name,
    shelf,
    colour,
    symbol: symbol ?? '',
    note,
    'time (s)': time ?? '',
    take: take.join(' '),
    'held back': heldBack.join(' '),
  }
}

function lineOf({ serves, attribute, value }: PortablePalette['values'][number]): Cells {
  return { serves: whomInWords(serves), attribute, kind: value.kind, ...valueCells(value) }
}

/** Cells in words: as "12.10" a spreadsheet would make 12.1 of the tenth. */
function whomInWords(serves: PortablePalette['values'][number]['serves']): string {
  if (serves === 'any') return 'any'
  if ('type' in serves) return `type ${serves.type}`
  return serves.cell === undefined ? `fixture ${serves.fixture}` : `fixture ${serves.fixture} cell ${serves.cell}`
}

function readWhom(text: string) {
  const [kind = '', ...rest] = text.split(' ')
  const named = rest.join(' ')
  if (kind === 'any') return 'any'
  if (kind === 'type') return { type: named }
  const [fixture = '', cell] = (named || kind).split(/\s*(?:cell|\.)\s*/)
  return { fixture: numberOf(fixture), ...(cell === undefined ? {} : { cell: numberOf(cell) }) }
}

function valueCells(value: PortablePalette['values'][number]['value']): Cells {
  if (value.kind === 'number') return { value: value.number }
  if (value.kind === 'spin') return { value: value.rpm }
  if (value.kind === 'pool') return { value: value.diameter }
  if (value.kind === 'link') return { value: value.palette }
  if (value.kind === 'colour') return { value: `${value.x} ${value.y} ${value.level}` }
  if (value.kind === 'parts')
    return {
      value: Object.entries(value.parts)
        .map(([part, level]) => `${part} ${level}`)
        .join('; '),
    }
  if (value.kind === 'angles') return { 'pan (deg)': value.pan, 'tilt (deg)': value.tilt }
  const { target, at, offset, choice } = value
  return {
    target: target ?? '',
    at: at ?? '',
    'x (m)': offset.x,
    'y (m)': offset.y,
    'z (m)': offset.z,
    side: choice?.side ?? '',
    'pan (deg)': choice?.pan ?? '',
  }
}

export interface PaletteReading {
  readonly palettes: readonly PortablePalette[]
  readonly faults: readonly SheetFault[]
  /** Set when the table as a whole is no palette sheet. */
  readonly trouble: string | null
}

/** Reads a table with a header row; lines that make no sense are told and left out. */
export function readPaletteCells(rows: readonly (readonly string[])[]): PaletteReading {
  const header = rows[0]?.map((cell) => cell.trim().toLowerCase()) ?? []
  const missing = (['palette', 'name', 'shelf', 'serves', 'attribute', 'kind'] as const).filter(
    (column) => !header.includes(column),
  )
  if (missing.length > 0)
    return { palettes: [], faults: [], trouble: `This is no palette sheet: it has no column ${missing.join(', ')}.` }
  const palettes = new Map<number, PortablePalette>()
  const faults: SheetFault[] = []
  for (const [i, row] of rows.slice(1).entries()) {
    if (row.every((cell) => cell.trim() === '')) continue
    const cell = (column: Column) => row[header.indexOf(column)]?.trim() ?? ''
    const read = portablePalette.safeParse({ ...readHead(cell), values: [readLine(cell)] })
    if (!read.success) {
      faults.push({ palette: Number(cell('palette')) || 0, what: `line ${i + 2}: ${faultOf(read.error)}` })
      continue
    }
    const known = palettes.get(read.data.number)
    palettes.set(read.data.number, known ? { ...known, values: [...known.values, ...read.data.values] } : read.data)
  }
  return { palettes: [...palettes.values()], faults, trouble: null }
}

function faultOf({ issues: [first] }: z.ZodError): string {
  return first ? `${first.path.filter((part) => typeof part === 'string').join(' ')} ${issueInWords(first)}` : ''
}

type Cell = (column: Column) => string

const wordsOf = (text: string) => (text === '' ? [] : text.split(/\s+/))
const numberOf = (text: string) => (text === '' ? Number.NaN : Number(text))
const numberOrNull = (text: string) => (text === '' ? null : Number(text))

function readHead(cell: Cell) {
  return {
    number: numberOf(cell('palette')),
    name: cell('name'),
    shelf: cell('shelf'),
    colour: cell('colour') || 'brass',
    symbol: cell('symbol') || null,
    note: cell('note'),
    time: numberOrNull(cell('time (s)')),
    take: wordsOf(cell('take')),
    heldBack: wordsOf(cell('held back')),
  }
}

function readLine(cell: Cell) {
  return { serves: readWhom(cell('serves')), attribute: cell('attribute'), value: readValue(cell) }
}

/** "0.31 0.33 1": x, y and level. */
function readColour(text: string) {
  const [x = '', y = '', level = ''] = wordsOf(text)
  return { x: numberOf(x), y: numberOf(y), level: numberOf(level) }
}

/** "part:Red 0.5; part:Blue 1": levels by part. */
function readParts(text: string) {
  const parts = text.split(';').map((one) => wordsOf(one.trim()))
  return Object.fromEntries(parts.flatMap(([part, level = '']) => (part ? [[part, numberOf(level)]] : [])))
}

function readValue(cell: Cell) {
  const kind = cell('kind')
  const value = numberOf(cell('value'))
  if (kind === 'number') return { kind, number: value }
  if (kind === 'spin') return { kind, rpm: value }
  if (kind === 'pool') return { kind, diameter: value }
  if (kind === 'link') return { kind, palette: value }
  if (kind === 'colour') return { kind, ...readColour(cell('value')) }
  if (kind === 'parts') return { kind, parts: readParts(cell('value')) }
  if (kind === 'angles') return { kind, pan: numberOf(cell('pan (deg)')), tilt: numberOf(cell('tilt (deg)')) }
  return {
    kind,
    target: cell('target') || null,
    at: numberOrNull(cell('at')),
    offset: { x: Number(cell('x (m)')), y: Number(cell('y (m)')), z: Number(cell('z (m)')) },
    choice: cell('side') === '' ? null : { side: cell('side'), pan: numberOf(cell('pan (deg)')) },
  }
}
