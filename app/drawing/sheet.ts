/** The cells of the carry sheet, drawn: block is set, line is carried, dashed is loose, notched is blocked. */
import type { SheetCell } from '#core/cues/carrySheet'
import type { Brush } from './brush'
import type { SheetInks } from './inks'

/** One cell on the canvas. */
export interface DrawnCell {
  readonly x: number
  readonly y: number
  readonly cell: SheetCell
  /** The colour of its palette; null for a plain value. */
  readonly ink: string | null
  readonly isDark: boolean
  /** Outside the working set or the filter. */
  readonly isFaint: boolean
  /** What is written in it; null where cells are too small. */
  readonly words: string | null
}

export interface CellSize {
  readonly cell: number
  readonly row: number
}

/** How much of a cell that has no light is seen. */
const DARK = 0.38
const FAINT = 0.22

export function drawCell(brush: Brush, inks: SheetInks, { cell: width, row }: CellSize, drawn: DrawnCell): void {
  const { x, y, cell, ink, isDark, isFaint, words } = drawn
  const gap = width > 8 ? 2 : 1
  const height = Math.max(4, Math.min(15, row - (row > 16 ? 14 : 5)))
  const top = y + (row - height) / 2
  brush.globalAlpha = (isFaint ? FAINT : 1) * (isDark ? DARK : 1)
  brush.fillStyle = ink ?? inks.quiet
  if (cell.how === 'carried') drawCarried(brush, x, y + row / 2, width, isDark)
  else if (cell.isLoose && ink === null && words === null) drawLoose(brush, inks, x, top, width - gap, height)
  else drawSet(brush, x, top, width - gap, height)
  if (cell.how === 'set' && cell.mark !== null) drawMark(brush, inks, cell.mark, x, top, width - gap, height)
  if (words !== null) drawWords(brush, inks, drawn, words, { x, y: y + row / 2, width, row })
  brush.globalAlpha = 1
}

function drawSet(brush: Brush, x: number, y: number, width: number, height: number) {
  brush.beginPath()
  brush.roundRect(x, y, width, height, Math.min(2, width / 3))
  brush.fill()
}

function drawCarried(brush: Brush, x: number, middle: number, width: number, isDark: boolean) {
  brush.globalAlpha *= 0.5
  // Without light the line is broken: it is there, but nobody sees it.
  const length = isDark ? Math.max(2, width * 0.45) : width + 0.5
  brush.fillRect(x - 0.5, middle - 1.25, length, 2.5)
}

function drawLoose(brush: Brush, inks: SheetInks, x: number, y: number, width: number, height: number) {
  brush.strokeStyle = inks.coral
  brush.lineWidth = width > 6 ? 1.4 : 1
  brush.setLineDash(width > 6 ? [2.5, 2] : [1.5, 1])
  brush.strokeRect(x + 0.7, y + 0.7, width - 1.4, height - 1.4)
  brush.setLineDash([])
}

/** A blocked cell has a bar at its left edge, a held one a hole in its middle. */
function drawMark(
  brush: Brush,
  inks: SheetInks,
  mark: 'blocked' | 'held',
  x: number,
  y: number,
  width: number,
  height: number,
) {
  brush.fillStyle = mark === 'blocked' ? inks.words : inks.ground
  if (mark === 'blocked') brush.fillRect(x, y - 1.5, Math.max(1.5, width / 5), height + 3)
  else {
    brush.beginPath()
    brush.arc(x + width / 2, y + height / 2, Math.max(1, Math.min(3, width / 4)), 0, 2 * Math.PI)
    brush.fill()
  }
}

function drawWords(
  brush: Brush,
  inks: SheetInks,
  { cell, ink }: DrawnCell,
  words: string,
  { x, y, width, row }: { x: number; y: number; width: number; row: number },
) {
  const isSet = cell.how === 'set'
  brush.font = '11px "Atkinson Hyperlegible Next Variable", sans-serif'
  brush.textBaseline = 'middle'
  brush.save()
  brush.beginPath()
  brush.rect(x, y - row / 2, width - 3, row)
  brush.clip()
  if (isSet && ink !== null) brush.fillStyle = inks.ground
  else if (isSet) brush.fillStyle = inks.words
  else brush.fillStyle = inks.quiet
  if (!isSet) {
    brush.globalAlpha = Math.max(brush.globalAlpha, 0.75)
    brush.fillText(words, x + 4, y - 7)
  } else brush.fillText(words, x + 4, y + 0.5)
  brush.restore()
}
