/** The set on paper. */
import type { StagePoint } from '../../drawing/projections'
import type { PlacedSetPiece } from '../../show/setPieces'
import type { PlacedPrism } from '../../venue/solids'
import { prismsAt } from '../../venue/solids'
import { widthOf } from '../../drawing/namePlaces'
import { INKS, type Pen } from './pen'

const SOLID = { fill: INKS.fill, opacity: 0.85, stroke: INKS.middle, width: 0.18 }

/** In plan, with its names where there is room. */
export function drawSetInPlan(pen: Pen, pieces: readonly PlacedSetPiece[]): void {
  for (const { id, piece, place } of pieces)
    for (const { outline } of prismsAt(id, piece.solids, place)) pen.ring(outline, SOLID)
}

/** Its names, where they run into nothing that was drawn. */
export function nameSet(pen: Pen, pieces: readonly PlacedSetPiece[]): void {
  for (const { piece, place } of pieces) {
    const middle = pen.at(place.position)
    const half = widthOf(piece.name) / 2
    const rows = [0, 13, -13, 26, -26].map((down) => ({ x: middle.x - half, y: middle.y + 4 + down }))
    const [first = middle, ...others] = rows
    const { at, isFree } = pen.names.place(piece.name, [first, ...others])
    if (isFree) pen.text(at, piece.name, { colour: INKS.middle })
  }
}

/** From a side: an upright solid is as wide as its outline and as tall as it is. */
export function drawSetFromSide(pen: Pen, pieces: readonly PlacedSetPiece[]): void {
  for (const { id, piece, place } of pieces)
    for (const prism of prismsAt(id, piece.solids, place)) pen.ring(silhouette(pen, prism), SOLID)
}

function silhouette({ view }: Pen, { outline, bottom, top }: PlacedPrism): StagePoint[] {
  const across = (point: StagePoint) => view.projection.project(point).across
  const [first] = outline
  if (!first) return []
  const left = outline.reduce((a, b) => (across(b) < across(a) ? b : a), first)
  const right = outline.reduce((a, b) => (across(b) > across(a) ? b : a), first)
  return [
    { ...left, z: bottom },
    { ...right, z: bottom },
    { ...right, z: top },
    { ...left, z: top },
  ]
}
