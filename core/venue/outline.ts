/** Outlines in plan. */
import { polygonArea, polygonContains } from 'd3-polygon'
import { fineMetres } from '../geometry/fineMetres'
import { turnLevel } from '../geometry/rotation'
import { vec3 } from '../geometry/vector'

/** A point seen from above: metres to stage left and upstage. */
export interface PlanPoint {
  readonly x: number
  readonly y: number
}

/** Corners as pairs. */
type Ring = [x: number, y: number][]
const rings = new WeakMap<readonly PlanPoint[], Ring>()

/** An outline as pairs, made once: rays ask for the same ones again and again. */
function ringOf(outline: readonly PlanPoint[]): Ring {
  const known = rings.get(outline)
  if (known) return known
  const ring = outline.map(({ x, y }): [number, number] => [x, y])
  rings.set(outline, ring)
  return ring
}

/** Whether a point lies inside an outline. */
export function isInside(outline: readonly PlanPoint[], { x, y }: PlanPoint): boolean {
  return polygonContains(ringOf(outline), [x, y])
}

/** The one of some points that lies nearest to a place in plan; null where there is none. */
export function nearestPoint<P extends PlanPoint>(points: readonly P[], { x, y }: PlanPoint): P | null {
  let best: P | null = null
  let least = Infinity
  for (const point of points) {
    const off = (point.x - x) ** 2 + (point.y - y) ** 2
    if (off < least) [best, least] = [point, off]
  }
  return best
}

/** The smallest upright box round outlines; null round nothing. */
export function boundsOf(
  points: readonly PlanPoint[],
): { left: number; right: number; bottom: number; top: number } | null {
  if (points.length === 0) return null
  const xs = points.map((p) => p.x)
  const ys = points.map((p) => p.y)
  return { left: Math.min(...xs), right: Math.max(...xs), bottom: Math.min(...ys), top: Math.max(...ys) }
}

/** An outline that runs against the clock, whichever way it was drawn. */
export function againstTheClock(outline: readonly PlanPoint[]): readonly PlanPoint[] {
  // d3 measures areas for screens, where y grows downwards.
  const signedArea = -polygonArea(ringOf(outline))
  return signedArea < 0 ? [...outline].reverse() : outline
}

/** A place of the stage in a frame that lies level: where that is, and how it is turned, degrees. */
export function inLevelFrame({ x, y }: PlanPoint, frame: PlanPoint, turn: number): PlanPoint {
  const own = turnLevel(vec3(x - frame.x, y - frame.y, 0), -turn)
  return { x: fineMetres(own.x), y: fineMetres(own.y) }
}

/** The middle of the box round an outline, and the outline about it; null for none. */
export function aboutItsMiddle(outline: readonly PlanPoint[]): { middle: PlanPoint; own: PlanPoint[] } | null {
  const box = boundsOf(outline)
  if (!box) return null
  const middle = { x: fineMetres((box.left + box.right) / 2), y: fineMetres((box.bottom + box.top) / 2) }
  return { middle, own: outline.map((corner) => inLevelFrame(corner, middle, 0)) }
}
