/** The cells of the carry sheet, drawn: block is set, line is carried, dashed is loose, a ring lets go, notched is blocked. */
import type { SheetPoint } from '#core/cues/carrySheet'
import type { Brush } from './brush'
import type { SheetInks } from './inks'

/** One cell on the canvas. */
export interface DrawnCell {
  readonly x: number
  readonly y: number
  readonly point: SheetPoint
  /** Whether it is set there, or carried from an earlier cue. */
  readonly isSet: boolean
  /** The colour of its palette; null for a plain value. */
  readonly ink: string | null
  readonly isDark: boolean
  /** Outside the working set or the filter. */
  readonly isFaint: boolean
}

export interface CellSize {
  readonly cell: number
  readonly row: number
}

/** How much of a cell that has no light is seen. */
const DARK = 0.38
const FAINT = 0.22
const CARRIED = 0.5

/**
 * Draws thousands of cells: those that look alike are one path, and carried lines that touch are
 * one line, so that a frame takes a few strokes and not one a cell.
 */
export class SheetDrawing {
  readonly #brush: Brush
  readonly #inks: SheetInks
  readonly #size: CellSize
  readonly #alike = new Map<string, { ink: string; alpha: number; path: Path2D }>()
  readonly #loose = new Map<number, Path2D>()
  readonly #rest = new Map<number, Path2D>()
  readonly #marks: DrawnCell[] = []
  /** The carried line that may go on. */
  #line: { key: string; x: number; y: number; end: number; ink: string; alpha: number } | null = null

  constructor(brush: Brush, inks: SheetInks, size: CellSize) {
    this.#brush = brush
    this.#inks = inks
    this.#size = size
  }

  /** Cells of a row come from left to right. */
  add(drawn: DrawnCell): void {
    const { point, isSet, ink, isDark, isFaint } = drawn
    const alpha = (isFaint ? FAINT : 1) * (isDark ? DARK : 1)
    // What was let go of is not carried: there is nothing to see after it.
    if (!isSet) return point.isRest ? undefined : this.#carry(drawn, alpha * CARRIED)
    if (point.isRest) this.#ring(pathAt(this.#rest, alpha), drawn)
    else if (point.isLoose && ink === null) this.#box(pathAt(this.#loose, alpha), drawn, 0.7)
    else this.#box(this.#pathOf(ink ?? this.#inks.quiet, alpha), drawn, 0)
    if (point.mark !== null) this.#marks.push(drawn)
  }

  /** Puts everything added on the canvas. */
  draw(): void {
    this.#endLine()
    const brush = this.#brush
    for (const { ink, alpha, path } of this.#alike.values()) {
      brush.globalAlpha = alpha
      brush.fillStyle = ink
      brush.fill(path)
    }
    const isSmall = this.#size.cell <= 8
    brush.strokeStyle = this.#inks.coral
    brush.lineWidth = isSmall ? 1 : 1.4
    brush.setLineDash(isSmall ? [1.5, 1] : [2.5, 2])
    for (const [alpha, path] of this.#loose) {
      brush.globalAlpha = alpha
      brush.stroke(path)
    }
    brush.setLineDash([])
    brush.strokeStyle = this.#inks.quiet
    for (const [alpha, path] of this.#rest) {
      brush.globalAlpha = alpha
      brush.stroke(path)
    }
    brush.globalAlpha = 1
    for (const cell of this.#marks) this.#mark(cell)
  }

  #pathOf(ink: string, alpha: number): Path2D {
    const key = `${ink} ${alpha}`
    const known = this.#alike.get(key)
    if (known) return known.path
    const path = new Path2D()
    this.#alike.set(key, { ink, alpha, path })
    return path
  }

  /** A ring in the middle of a cell that lets go. */
  #ring(path: Path2D, { x, y }: DrawnCell): void {
    const { width, height, top } = boxOf(this.#size)
    const radius = Math.max(1.5, Math.min(width, height, 11) / 2 - 1)
    const [middle, level] = [x + Math.min(width, 14) / 2, y + top + height / 2]
    path.moveTo(middle + radius, level)
    path.arc(middle, level, radius, 0, 2 * Math.PI)
  }

  #box(path: Path2D, { x, y }: DrawnCell, inset: number): void {
    const { width, height, top } = boxOf(this.#size)
    const [left, upper, across, down] = [x + inset, y + top + inset, width - 2 * inset, height - 2 * inset]
    // Rounding cannot be seen on small cells, and takes most of the time of drawing them.
    if (inset > 0 || width < 9) path.rect(left, upper, across, down)
    else path.roundRect(left, upper, across, down, 2)
  }

  #carry({ x, y, ink, isDark }: DrawnCell, alpha: number): void {
    const colour = ink ?? this.#inks.quiet
    const { cell, row } = this.#size
    const middle = y + row / 2
    // Without light the line is broken: it is there, but nobody sees it.
    if (isDark) return this.#pathOf(colour, alpha).rect(x, middle - 1.25, Math.max(2, cell * 0.45), 2.5)
    const key = `${colour} ${alpha} ${y}`
    if (this.#line?.key === key && Math.abs(this.#line.end - x) < 0.5) this.#line.end = x + cell
    else {
      this.#endLine()
      this.#line = { key, x, y: middle, end: x + cell, ink: colour, alpha }
    }
  }

  #endLine(): void {
    if (!this.#line) return
    const { x, y, end, ink, alpha } = this.#line
    this.#pathOf(ink, alpha).rect(x, y - 1.25, end - x - gapOf(this.#size.cell), 2.5)
    this.#line = null
  }

  /** A blocked cell has a bar at its left edge, a held one a hole in its middle. */
  #mark({ x, y, point }: DrawnCell): void {
    const brush = this.#brush
    const { width, height, top } = boxOf(this.#size)
    brush.fillStyle = point.mark === 'blocked' ? this.#inks.words : this.#inks.ground
    if (point.mark === 'blocked') return brush.fillRect(x, y + top - 1.5, Math.max(1.5, width / 5), height + 3)
    brush.beginPath()
    brush.arc(x + width / 2, y + top + height / 2, Math.max(1, Math.min(3, width / 4)), 0, 2 * Math.PI)
    brush.fill()
  }
}

/** Where a fixture moves ahead of the cue that sets it, an open mark, and where it then waits, a dot. */
export function drawMovesAhead(
  brush: Brush,
  ink: string,
  size: CellSize,
  marks: readonly { readonly x: number; readonly y: number; readonly begins: boolean }[],
): void {
  const { width, height, top } = boxOf(size)
  const half = Math.max(2, Math.min(width, height, 11) / 2 - 1.5)
  const path = new Path2D()
  brush.fillStyle = ink
  for (const { x, y, begins } of marks) {
    const [middle, level] = [x + Math.min(width, 14) / 2, y + top + height / 2]
    if (!begins) {
      brush.fillRect(middle - 1, level - 1, 2, 2)
      continue
    }
    path.moveTo(middle, level - half)
    path.lineTo(middle + half, level)
    path.lineTo(middle, level + half)
    path.lineTo(middle - half, level)
    path.closePath()
  }
  brush.strokeStyle = ink
  brush.lineWidth = 1.4
  brush.stroke(path)
}

function pathAt(paths: Map<number, Path2D>, alpha: number): Path2D {
  const path = paths.get(alpha) ?? new Path2D()
  paths.set(alpha, path)
  return path
}

/** Wide cells touch: what is written runs on over them. */
function gapOf(cell: number): number {
  if (cell > 40) return 0.6
  return cell > 8 ? 2 : 1
}

function boxOf({ cell, row }: CellSize) {
  const height = Math.max(4, Math.min(15, row - (row > 16 ? 14 : 5)))
  return { width: cell - gapOf(cell), height, top: (row - height) / 2 }
}

const FONT = '11px "Atkinson Hyperlegible Next Variable", sans-serif'

/** As much of some words as fits. */
function fitted(brush: Brush, words: string, width: number): string {
  if (brush.measureText(words).width <= width) return words
  let length = words.length - 1
  while (length > 1 && brush.measureText(`${words.slice(0, length)}…`).width > width) length -= 1
  return `${words.slice(0, length).trimEnd()}…`
}

/** Writes in a block that is set, or over a line that is carried; `width` is what the words may take, pixels. */
export function drawCellWords(
  brush: Brush,
  inks: SheetInks,
  row: number,
  { x, y, ink, isSet, point }: DrawnCell,
  words: string,
  width: number,
): void {
  if (point.isRest && !isSet) return
  // Words stand beside the ring of a cell that lets go.
  const begin = point.isRest ? 17 : 4
  brush.font = FONT
  brush.textBaseline = 'middle'
  brush.fillStyle = !isSet || point.isRest ? inks.quiet : ink === null ? inks.words : inks.ground
  brush.fillText(fitted(brush, words, width - 4 - begin), x + begin, y + row / 2 + (isSet ? 0.5 : -7))
}
