/** Outlines in plan. */

/** A point seen from above: metres to stage left and upstage. */
export interface PlanPoint {
  readonly x: number
  readonly y: number
}

/** Whether a point lies inside an outline, by counting crossings of a ray to the right. */
export function isInside(outline: readonly PlanPoint[], p: PlanPoint): boolean {
  let inside = false
  for (let i = 0, j = outline.length - 1; i < outline.length; j = i++) {
    const a = outline[i]
    const b = outline[j]
    if (!a || !b) continue
    if (a.y > p.y !== b.y > p.y && p.x < a.x + ((p.y - a.y) / (b.y - a.y)) * (b.x - a.x)) inside = !inside
  }
  return inside
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
