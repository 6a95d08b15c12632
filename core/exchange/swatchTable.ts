/**
 * Reads swatches from a table (the cells of a CSV file): name, x, y and, if it is there, Y, how much
 * of white light they let through, 0 to 1 or in per cent. Rows that cannot be used are told.
 */
import { colourOfLight } from '../colour/colour'
import { headerName } from './rowReader'

export interface SwatchRow {
  readonly name: string
  readonly x: number
  readonly y: number
  readonly level: number
}

export interface SwatchReading {
  readonly swatches: readonly SwatchRow[]
  /** What is wrong, by line, counted from 1 with the header. */
  readonly faults: readonly string[]
  /** Set when the table as a whole is no list of swatches. */
  readonly trouble: string | null
}

const NEEDED = ['name', 'x', 'y'] as const
/** Chromaticities there are lie inside this. */
const MOST = 0.9

export function readSwatchCells(rows: readonly (readonly string[])[]): SwatchReading {
  const [head = [], ...lines] = rows
  // The small y is a place, the large one how bright.
  const columns = head.map((cell) => (cell.trim() === 'Y' ? 'light' : headerName(cell)))
  const missing = NEEDED.filter((column) => !columns.includes(column))
  const nothing = { swatches: [], faults: [] }
  if (missing.length > 0)
    return { ...nothing, trouble: `This is no list of swatches: it has no column ${missing.join(', ')}.` }
  const filled = lines
    .map((row, i) => ({ row, line: i + 2 }))
    .filter(({ row }) => row.some((cell) => cell.trim() !== ''))
  const lightAt = (row: readonly string[]) => numberIn(row[columns.indexOf('light')] ?? '')
  const whole = filled.some(({ row }) => (lightAt(row) ?? 0) > 1) ? 100 : 1
  const swatches: SwatchRow[] = []
  const faults: string[] = []
  for (const { row, line } of filled) {
    const read = readRow(row, columns, lightAt(row), whole)
    if (typeof read === 'string') faults.push(`line ${line}: ${read}`)
    else swatches.push(read)
  }
  return { swatches, faults, trouble: swatches.length === 0 && faults.length === 0 ? 'It holds no swatch.' : null }
}

/** A decimal comma is understood. */
function numberIn(text: string): number | null {
  const plain = text.trim().replace(',', '.')
  return plain === '' || Number.isNaN(Number(plain)) ? null : Number(plain)
}

function readRow(
  row: readonly string[],
  columns: readonly string[],
  light: number | null,
  whole: number,
): SwatchRow | string {
  const cell = (column: string) => row[columns.indexOf(column)]?.trim() ?? ''
  const name = cell('name')
  if (name === '' || name.length > 120) return 'it needs a name of up to 120 letters'
  const [x, y] = [numberIn(cell('x')), numberIn(cell('y'))]
  if (x === null || x <= 0 || x > MOST) return `x is ${cell('x') || 'missing'}; it lies between 0 and ${MOST}`
  if (y === null || y <= 0 || y > MOST || x + y > 1)
    return `y is ${cell('y') || 'missing'}; it lies between 0 and ${MOST}, and x and y together below 1`
  if (light !== null && (light < 0 || light > 100))
    return `Y is ${light}; it lies between 0 and 1, or 0 and 100 per cent`
  if (light === null) return { name, x, y, level: 1 }
  const part = light / whole
  const { level } = colourOfLight({ x: (x / y) * part, y: part, z: ((1 - x - y) / y) * part })
  return { name, x, y, level }
}
