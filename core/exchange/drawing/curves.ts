/** Curves of a drawing as corners. Angles in radians, against the clock from x. */
import { vec3, type Vec3 } from '../../geometry/vector'

/** Steps a whole round is drawn in. */
const ROUND = 48
/** A curve has no more corners. */
const MOST_STEPS = 400

/**
 * An arc of an ellipse from one angle on to another: `long` leads from its middle to the end of its long
 * axis, and the short one, `ratio` as long, lies a quarter of a turn on from it.
 */
export function arcOf(middle: Vec3, long: Vec3, ratio: number, from: number, to: number): Vec3[] {
  const whole = 2 * Math.PI
  const turn = to - from - whole * Math.floor((to - from) / whole) || whole
  const steps = Math.max(2, Math.ceil((ROUND * turn) / whole))
  return Array.from({ length: steps + 1 }, (_, i) => {
    const angle = from + (turn * i) / steps
    const [c, s] = [Math.cos(angle), Math.sin(angle) * ratio]
    return vec3(middle.x + long.x * c - long.y * s, middle.y + long.y * c + long.x * s, middle.z + long.z * c)
  })
}

/**
 * A spline that its control points and knots tell, by de Boor's recurrence; null where they do not fit
 * together. Weights are not read.
 */
export function splineOf(control: readonly Vec3[], degree: number, knots: readonly number[]): Vec3[] | null {
  const fits = Number.isInteger(degree) && degree >= 1 && control.length > degree
  if (!fits || knots.length !== control.length + degree + 1) return null
  if (knots.some((knot, i) => !Number.isFinite(knot) || knot < (knots[i - 1] ?? knot))) return null
  const [first = 0, last = 0] = [knots[degree], knots[control.length]]
  if (!(last > first)) return null
  const steps = Math.min(MOST_STEPS, 8 * (control.length - degree) + 8)
  return Array.from({ length: steps + 1 }, (_, i) =>
    splineAt(control, degree, knots, first + ((last - first) * i) / steps),
  )
}

function splineAt(control: readonly Vec3[], degree: number, knots: readonly number[], at: number): Vec3 {
  let span = degree
  while (span < control.length - 1 && at >= (knots[span + 1] ?? Infinity)) span++
  const points = control.slice(span - degree, span + 1)
  for (let round = 1; round <= degree; round++)
    for (let i = degree; i >= round; i--) {
      const low = knots[span - degree + i] ?? 0
      const wide = (knots[span + 1 + i - round] ?? 0) - low
      const part = wide > 0 ? (at - low) / wide : 0
      const [a, b] = [points[i - 1], points[i]]
      if (a && b) points[i] = vec3(a.x + (b.x - a.x) * part, a.y + (b.y - a.y) * part, a.z + (b.z - a.z) * part)
    }
  return points[degree] ?? vec3(0, 0, 0)
}

/** A corner, and how the line goes on from it: a bulge is the tangent of a quarter of the arc's angle, against the clock. */
export interface Bulging extends Vec3 {
  readonly bulge: number
}

/** The corners from one to just before the next, with those of the arc between them. */
function bulged(from: Bulging, to: Bulging): Vec3[] {
  const here = vec3(from.x, from.y, from.z)
  if (Math.abs(from.bulge) < 1e-9) return [here]
  const [dx, dy] = [to.x - from.x, to.y - from.y]
  const turn = 4 * Math.atan(from.bulge)
  const steps = Math.max(1, Math.min(16, Math.ceil(Math.abs(turn) / (Math.PI / 12))))
  // The middle of the arc's circle lies so far to the left of the middle between its ends.
  const aside = (1 - from.bulge ** 2) / (4 * from.bulge)
  const middle = { x: (from.x + to.x) / 2 - dy * aside, y: (from.y + to.y) / 2 + dx * aside }
  return Array.from({ length: steps }, (_, step) => {
    const [c, s] = [Math.cos((turn * step) / steps), Math.sin((turn * step) / steps)]
    const [x, y] = [from.x - middle.x, from.y - middle.y]
    return vec3(middle.x + x * c - y * s, middle.y + x * s + y * c, from.z)
  })
}

/** A closed outline with its arcs; the first corner is not said again. */
export function curvedRing(vertices: readonly Bulging[]): Vec3[] {
  return vertices.flatMap((from, i) => bulged(from, vertices[(i + 1) % vertices.length] ?? from))
}

/** A line with its arcs, from its first corner to its last. */
export function curvedLine(vertices: readonly Bulging[]): Vec3[] {
  return vertices.flatMap((from, i) => {
    const to = vertices[i + 1]
    return to ? bulged(from, to) : [vec3(from.x, from.y, from.z)]
  })
}
