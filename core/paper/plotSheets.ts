/** A drawing that is larger than its paper, on sheets that are laid over each other at their edges. */
import type { StagePoint } from '../drawing/projections'
import type { PrintedArea } from './pageSizes'

/** Sheets show so much of their neighbours, millimetres. */
export const OVERLAP_MM = 10

/** A sheet of a plot: which column and row, from the upper left, and what it shows from where on, metres. */
export interface PlotSheet {
  readonly column: number
  readonly row: number
  readonly left: number
  readonly bottom: number
}

export interface PlotSheets {
  readonly sheets: readonly PlotSheet[]
  readonly columns: number
  readonly rows: number
}

/** As few sheets as hold all points with `spareMetres` round them, the points in the middle of them all. */
export function plotSheets(
  points: readonly StagePoint[],
  paper: PrintedArea,
  scale: number,
  spareMetres: number,
): PlotSheets {
  const metres = (mm: number) => (mm * scale) / 1000
  const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)]
  const [left, right] = [Math.min(...xs) - spareMetres, Math.max(...xs) + spareMetres]
  const [bottom, top] = [Math.min(...ys) - spareMetres, Math.max(...ys) + spareMetres]
  const [width, height] = [metres(paper.widthMm), metres(paper.heightMm)]
  const lap = metres(OVERLAP_MM)
  const count = (whole: number, one: number) => Math.max(1, Math.ceil((whole - lap) / (one - lap)))
  const [columns, rows] = [count(right - left, width), count(top - bottom, height)]
  const from = {
    x: (left + right - (columns * (width - lap) + lap)) / 2,
    y: (bottom + top + rows * (height - lap) + lap) / 2,
  }
  const sheets = Array.from({ length: columns * rows }, (_, i): PlotSheet => {
    const [column, row] = [i % columns, Math.floor(i / columns)]
    return {
      column,
      row,
      left: from.x + column * (width - lap),
      bottom: from.y - height - row * (height - lap),
    }
  })
  return { sheets, columns, rows }
}

/** "B2": the second from the left, in the second row from above. */
export function nameOfSheet({ column, row }: Pick<PlotSheet, 'column' | 'row'>): string {
  return `${String.fromCharCode(65 + (column % 26))}${row + 1}`
}

/** The sheets that lie beside one, and on which side. */
export function besideSheet({ column, row }: PlotSheet, { columns, rows }: PlotSheets): string[] {
  return [
    column > 0 ? `${nameOfSheet({ column: column - 1, row })} to the left` : '',
    column < columns - 1 ? `${nameOfSheet({ column: column + 1, row })} to the right` : '',
    row > 0 ? `${nameOfSheet({ column, row: row - 1 })} above` : '',
    row < rows - 1 ? `${nameOfSheet({ column, row: row + 1 })} below` : '',
  ].filter(Boolean)
}
