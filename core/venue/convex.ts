/** Outlines bent inwards, cut into convex ones. */
import { isSimple, quickDecomp, type Point } from 'poly-decomp-es'
import type { PlanPoint } from './outline'

/** A corner that turns inwards by less than this is straight; twice the area it cuts off, square metres. */
const STRAIGHT = 1e-9

/** Whether every corner of an outline turns the same way. */
export function isConvex(outline: readonly PlanPoint[]): boolean {
  const turns = outline.map((p, i) => {
    const [next, after] = [outline[(i + 1) % outline.length] ?? p, outline[(i + 2) % outline.length] ?? p]
    return (next.x - p.x) * (after.y - next.y) - (next.y - p.y) * (after.x - next.x)
  })
  return turns.every((turn) => turn >= -STRAIGHT) || turns.every((turn) => turn <= STRAIGHT)
}

/**
 * Convex outlines that together cover the same as one that runs against the clock, metres (Bayazit's
 * cutting from corner to corner). One that crosses itself covers nothing well defined and stays as it is.
 */
export function convexPieces(outline: readonly PlanPoint[]): readonly (readonly PlanPoint[])[] {
  if (isConvex(outline)) return [outline]
  const ring = outline.map(({ x, y }): Point => [x, y])
  if (!isSimple(ring)) return [outline]
  return quickDecomp(ring).map((piece) => piece.map(([x, y]) => ({ x, y })))
}
