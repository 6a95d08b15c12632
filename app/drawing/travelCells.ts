/** What a fixture does in a cue, drawn: a block while it moves, a line while it is lit, dots while it is dark. */
import type { Brush } from './brush'
import { readInks, readSheetInks } from './inks'
import type { CourseCell } from './travelCourse'

export interface TravelInks {
  readonly ground: string
  readonly looked: string
  readonly seen: string
  readonly fault: string
  readonly dark: string
  readonly dots: string
}

export function readTravelInks(isPaper: boolean): TravelInks {
  const { brass, coral, shoal } = readInks(isPaper)
  const { row, looked, quiet } = readSheetInks()
  return { ground: row, looked, seen: brass, fault: coral, dark: shoal, dots: quiet }
}

/** Where a cell is on the canvas, its middle line, and how long its cue lasts. */
export interface CellBox {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly seconds: number
}

/** Pixels: of a block, of a line, and the least a block is wide. */
const BLOCK = 12
const LINE = 3
const LEAST = 8

export function drawTravelCell(brush: Brush, inks: TravelInks, { step, isLit }: CourseCell, box: CellBox): void {
  const { x, y, width, seconds } = box
  drawStanding(brush, inks, isLit, box)
  if (!step?.turns) return
  const scale = seconds > 0 ? width / seconds : 0
  const from = x + Math.min(width - LEAST, step.begins * scale)
  const wide = Math.max(LEAST, Math.min(step.lasts * scale, x + width - from))
  const isFault = step.tooFast !== null || step.sweeps.length > 0
  const block = new Path2D()
  block.roundRect(from, y - BLOCK / 2, wide, BLOCK, 2)
  if (step.isAhead) return drawAhead(brush, inks, block)
  brush.globalAlpha = isFault && !step.isSeen ? 0.55 : 1
  brush.fillStyle = isFault ? inks.fault : step.isSeen ? inks.seen : inks.dark
  brush.fill(block)
  brush.globalAlpha = 1
}

/** What nobody set there: it goes ahead of the cue that does. */
function drawAhead(brush: Brush, { dark, ground }: TravelInks, block: Path2D): void {
  brush.fillStyle = ground
  brush.fill(block)
  brush.strokeStyle = dark
  brush.lineWidth = 1.4
  brush.stroke(block)
}

function drawStanding(brush: Brush, inks: TravelInks, isLit: boolean, { x, y, width }: CellBox): void {
  if (isLit) {
    brush.globalAlpha = 0.55
    brush.fillStyle = inks.seen
    brush.fillRect(x, y - LINE / 2, width, LINE)
    brush.globalAlpha = 1
    return
  }
  brush.globalAlpha = 0.5
  brush.fillStyle = inks.dots
  for (let dot = x + 3; dot < x + width; dot += 7) brush.fillRect(dot, y - 0.75, 1.5, 1.5)
  brush.globalAlpha = 1
}
