/** The house on paper: floor, levels, the wall with its opening, centre and setting line, what is kept clear. */
import type { StagePoint } from '../../drawing/projections'
import type { Venue } from '../../show/entities'
import { zoneFrom } from '../../travel/zones'
import { heightOf } from '../../venue/levels'
import { INKS, type Pen } from './pen'

/** The wall on either side of the opening, metres. */
const WALL = { deep: 0.4, wide: 4, above: 1.5 }
const CHAIN_LINE = [4, 1.2, 0.8, 1.2]
const KEPT_CLEAR = { stroke: INKS.mark, width: 0.15, dash: [1.2, 1] }

/** In plan. */
export function drawFloor(pen: Pen, venue: Venue): void {
  pen.ring(venue.outline, { fill: INKS.ground, stroke: INKS.middle, width: 0.25 })
  for (const { outline } of venue.levels)
    pen.ring(outline, { fill: INKS.fill, opacity: 0.6, stroke: INKS.faint, width: 0.18 })
  const half = venue.opening.width / 2
  for (const side of [-1, 1]) {
    const corners = [
      { x: side * half, y: 0 },
      { x: side * (half + WALL.wide), y: 0 },
      { x: side * (half + WALL.wide), y: WALL.deep },
      { x: side * half, y: WALL.deep },
    ]
    pen.ring(corners, { fill: INKS.faint, stroke: INKS.middle, width: 0.18 })
  }
  for (const { outline } of venue.keepClear) pen.ring(outline, KEPT_CLEAR)
  const { x, y } = pen.at({ x: 0, y: 0 })
  pen.path(`M${x} 0V${pen.height}`, { stroke: INKS.faint, width: 0.15, dash: CHAIN_LINE })
  pen.path(`M0 ${y}H${pen.width}`, { stroke: INKS.faint, width: 0.15, dash: CHAIN_LINE })
}

/** Seen from stage left: the house to the left, upstage to the right. */
export function drawSideOfHouse(pen: Pen, venue: Venue): void {
  const at = (y: number, z: number): StagePoint => ({ x: 0, y, z })
  const { height: opening } = venue.opening
  for (const level of venue.levels) {
    const points = level.outline.map((p) => at(p.y, heightOf(level, p)))
    const ys = level.outline.map((p) => p.y)
    const low = points[ys.indexOf(Math.min(...ys))]
    const high = points[ys.indexOf(Math.max(...ys))]
    if (low && high)
      pen.ring([at(low.y, 0), low, high, at(high.y, 0)], { fill: INKS.fill, stroke: INKS.faint, width: 0.18 })
  }
  const wall = [
    at(0, opening),
    at(WALL.deep, opening),
    at(WALL.deep, opening + WALL.above),
    at(0, opening + WALL.above),
  ]
  pen.ring(wall, { fill: INKS.faint, stroke: INKS.middle, width: 0.18 })
  for (const zone of venue.keepClear) {
    const ys = zone.outline.map(({ y }) => y)
    const [from, to, top] = [Math.min(...ys), Math.max(...ys), zoneFrom(zone).height]
    pen.line([at(from, 0), at(from, top), at(to, top), at(to, 0)], KEPT_CLEAR)
  }
  const { x, y } = pen.at(at(0, 0))
  pen.path(`M${x} 0V${y}`, { stroke: INKS.faint, width: 0.15, dash: CHAIN_LINE })
  pen.path(`M0 ${y}H${pen.width}`, { stroke: INKS.middle, width: 0.3 })
}
