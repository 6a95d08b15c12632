/** Keep-clear zones as what no lit beam should pass through: an outline from the floor up to a height. */
import { add, cross, dot, length, ORIGIN, scale, subtract, vec3, type Vec3 } from '../geometry/vector'
import { derived } from '../show/derived'
import type { Venue } from '../show/entities'
import { entity, showRecordOf } from '../show/show'
import { isInside, type PlanPoint } from '../venue/outline'

/** Where nothing else is said a zone goes up to people's heads as they sit and stand up, metres. */
export const HEADS_METRES = 1.6

export interface Zone extends Prism {
  readonly name: string
  readonly middle: Vec3
  /** What all of it lies in: told apart from by few edges. */
  readonly box: Prism
  /** The sides of that, metres in the stage frame. */
  readonly bounds: Bounds
}

interface Bounds {
  readonly left: number
  readonly right: number
  readonly front: number
  readonly back: number
}

/** What rises straight from the floor over an outline, metres. */
export interface Prism {
  readonly outline: readonly PlanPoint[]
  readonly height: number
  /** Every edge of it: at the floor, on top and upright. */
  readonly edges: readonly (readonly [Vec3, Vec3])[]
}

/** The zones of the venue in play. */
export const zonesOf = derived(['venue', 'show'], (show): readonly Zone[] =>
  entity(show, 'venue', showRecordOf(show).venue).keepClear.map(zoneFrom),
)

/** A zone as it is stored, with its edges. */
export function zoneFrom({ name, outline, height = HEADS_METRES }: Venue['keepClear'][number]): Zone {
  const middle = scale(
    outline.reduce<Vec3>((sum, { x, y }) => add(sum, vec3(x, y, height / 2)), ORIGIN),
    1 / outline.length,
  )
  const bounds = boundsOf(outline)
  return { name, middle, ...prismOver(outline, height), box: prismOver(cornersOf(bounds), height), bounds }
}

function prismOver(outline: readonly PlanPoint[], height: number): Prism {
  const edges = outline.flatMap((from, i): (readonly [Vec3, Vec3])[] => {
    const to = outline[(i + 1) % outline.length] ?? from
    const [low, high] = [0, height].map(
      (z) =>
        [
          { ...from, z },
          { ...to, z },
        ] as const,
    )
    return low && high ? [low, high, [low[0], high[0]]] : []
  })
  return { outline, height, edges }
}

/** The rectangle along the axes that an outline lies in. */
function boundsOf(outline: readonly PlanPoint[]): Bounds {
  const [xs, ys] = [outline.map(({ x }) => x), outline.map(({ y }) => y)]
  return { left: Math.min(...xs), right: Math.max(...xs), front: Math.min(...ys), back: Math.max(...ys) }
}

function cornersOf({ left, right, front, back }: Bounds): PlanPoint[] {
  return [
    { x: left, y: front },
    { x: right, y: front },
    { x: right, y: back },
    { x: left, y: back },
  ]
}

/** A ray in the stage frame; `direction` is a unit vector. */
export interface Ray {
  readonly from: Vec3
  readonly direction: Vec3
}

/** Rays are followed so far, metres. */
const FURTHEST = 200

/** The nearest a zone comes to a ray, seen from where the ray starts: the angle, radians, and the direction of that place. */
export interface Nearness {
  readonly angle: number
  /** A unit vector. */
  readonly towards: Vec3
}

/**
 * Whether a cone, half its angle in radians, stays on the outer side of one side of what all of a zone lies
 * in: it starts there and nothing of it comes nearer. Then it does not meet the zone; told by few steps.
 */
export function staysOutside({ bounds, height }: Zone, { from, direction }: Ray, half: number): boolean {
  const least = Math.sin(half)
  return (
    (from.x > bounds.right && direction.x >= least) ||
    (from.x < bounds.left && -direction.x >= least) ||
    (from.y > bounds.back && direction.y >= least) ||
    (from.y < bounds.front && -direction.y >= least) ||
    (from.z > height && direction.z >= least)
  )
}

/**
 * Whether a cone that comes down from above a zone is beside it as long as it is no higher than that. On a
 * level that its axis meets at an angle `θ` from upright, `H` below, it lies within
 * `H·(tan(θ + half) − tan θ)` of where the axis does: the far end of the ellipse it is there.
 */
export function comesDownBeside({ bounds, height }: Zone, { from, direction }: Ray, half: number): boolean {
  const down = -direction.z
  if (from.z <= height || down <= 1e-6) return false
  const [slope, opening] = [Math.hypot(direction.x, direction.y) / down, Math.tan(half)]
  const least = 1 - slope * opening
  // Part of it goes on upwards.
  if (least <= 1e-6) return false
  const around = from.z * ((slope + opening) / least - slope)
  const [high, low] = [(from.z - height) / down, from.z / down]
  const isBeside = (start: number, by: number, first: number, last: number) => {
    const [a, b] = [start + by * high, start + by * low]
    return Math.max(a, b) + around < first || Math.min(a, b) - around > last
  }
  return (
    isBeside(from.x, direction.x, bounds.left, bounds.right) || isBeside(from.y, direction.y, bounds.front, bounds.back)
  )
}

/**
 * How near a zone comes to a ray by angle; 0 where the ray passes through it. What a zone covers of
 * the directions from a place is bounded by its edges, so where the ray does not meet it the
 * nearest place of it is on an edge. A cone round the ray meets it just when this angle is no more
 * than the cone's half.
 */
export function nearnessTo(zone: Prism, ray: Ray): Nearness {
  if (entersAt(zone, ray) !== null) return { angle: 0, towards: ray.direction }
  let best = { cosine: -Infinity, towards: ray.direction }
  for (const [a, b] of zone.edges) {
    const found = nearestOfEdge(subtract(a, ray.from), subtract(b, ray.from), ray.direction)
    if (found.cosine > best.cosine) best = found
  }
  return {
    angle: Math.acos(Math.min(1, best.cosine)),
    towards: scale(best.towards, 1 / Math.max(length(best.towards), 1e-12)),
  }
}

/**
 * The place within the wedge from `a` to `b` that is nearest to a unit direction, and the cosine of the
 * angle between: its projection on the plane they span where that lies between them, else one of the two.
 */
function nearestOfEdge(a: Vec3, b: Vec3, direction: Vec3): { cosine: number; towards: Vec3 } {
  const normal = cross(a, b)
  const square = dot(normal, normal)
  if (square > 1e-24) {
    const flat = subtract(direction, scale(normal, dot(direction, normal) / square))
    const isBetween = dot(cross(a, flat), normal) >= 0 && dot(cross(flat, b), normal) >= 0
    if (isBetween) return { cosine: length(flat), towards: flat }
  }
  const [toA, toB] = [dot(direction, a) / length(a), dot(direction, b) / length(b)]
  return toA >= toB ? { cosine: toA, towards: a } : { cosine: toB, towards: b }
}

/** How far along a ray it is in a zone for the first time, metres; null where it never is. */
export function entersAt({ outline, height }: Prism, { from, direction }: Ray): number | null {
  const [near, far] = between(from.z, direction.z, height)
  if (near > far) return null
  const [begin, end] = [near, far].map((along) => add(from, scale(direction, along)))
  if (!begin || !end) return null
  if (isInside(outline, begin)) return near
  let first: number | null = null
  for (const [i, a] of outline.entries()) {
    const part = crossingOf(begin, end, a, outline[(i + 1) % outline.length] ?? a)
    if (part === null) continue
    const along = near + (far - near) * part
    if (first === null || along < first) first = along
  }
  return first
}

/** The stretch of a ray, metres, in which it is between the floor and a height; the first is larger where there is none. */
function between(z: number, slope: number, height: number): readonly [near: number, far: number] {
  if (Math.abs(slope) < 1e-12) return z >= 0 && z <= height ? [0, FURTHEST] : [1, 0]
  const [a, b] = [-z / slope, (height - z) / slope]
  return [Math.max(0, Math.min(a, b)), Math.min(FURTHEST, Math.max(a, b))]
}

/** How far along from `p` to `q`, 0 to 1, the line from `a` to `b` is crossed, seen from above; null where it is not. */
function crossingOf(p: PlanPoint, q: PlanPoint, a: PlanPoint, b: PlanPoint): number | null {
  const [dx, dy, ex, ey] = [q.x - p.x, q.y - p.y, b.x - a.x, b.y - a.y]
  const denominator = dx * ey - dy * ex
  if (denominator === 0) return null
  const along = ((a.x - p.x) * ey - (a.y - p.y) * ex) / denominator
  const across = ((a.x - p.x) * dy - (a.y - p.y) * dx) / denominator
  return along >= 0 && along <= 1 && across >= 0 && across <= 1 ? along : null
}
