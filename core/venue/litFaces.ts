/**
 * Where light falls: the parts of the floor, of levels and of the set that lie in a cone of light
 * and are not in the shadow of the set.
 *
 * A face that looks towards the lens is cut by the cone (a pyramid of many sides round it); from
 * what is left the shadow of every prism in the cone is taken away. The shadow of a convex solid
 * from a point on a plane is the hull of its corners' projections from that point.
 */
import polygonClipping, { type Pair, type Polygon, type Ring } from 'polygon-clipping'
import { add, cross, dot, length, normalise, scale, subtract, vec3, type Vec3 } from '../geometry/vector'
import { DEGREE } from '../geometry/rotation'
import type { Beam } from '../kinematics/forward'
import type { Venue } from '../show/entities'
import { heightOf, normalOf } from './levels'
import { facesOf, type Face, type PlacedPrism } from './solids'

/** A lit piece of a face: an outer rim and the shadows in it. Corners in the stage frame. */
export interface LitFace {
  readonly normal: Vec3
  readonly rim: readonly Vec3[]
  readonly holes: readonly (readonly Vec3[])[]
}

/** What light can fall on besides the set. */
export interface Ground {
  readonly faces: readonly Face[]
}

/** Sides of the pyramid a cone is cut with. */
const SIDES = 28
/** The floor goes on this far beyond the stage; metres. */
const FLOOR_REACH = 40
/** Corners nearer than this to a plane lie on it; metres. */
const ON_PLANE = 1e-6

/** The floor and the tops of the levels. */
export function groundOf(venue: Venue): Ground {
  const far = FLOOR_REACH
  const floor: Face = {
    corners: [vec3(-far, -far, 0), vec3(far, -far, 0), vec3(far, far, 0), vec3(-far, far, 0)],
    normal: vec3(0, 0, 1),
  }
  const tops = venue.levels.map((level): Face => ({
    corners: level.outline.map((p) => vec3(p.x, p.y, heightOf(level, p))),
    normal: normalOf(level),
  }))
  return { faces: [floor, ...tops] }
}

/** The lit pieces of everything in a cone of `angle` degrees (full) round a beam. */
export function litFaces(beam: Beam, angle: number, ground: Ground, prisms: readonly PlacedPrism[]): LitFace[] {
  const cone = pyramid(beam, angle / 2)
  const near = prisms.filter((prism) => isTouched(beam, angle / 2, prism))
  const onSet = near.flatMap((prism) =>
    facesOf(prism).map((face) => ({ face, others: near.filter((p) => p !== prism) })),
  )
  const onGround = ground.faces.map((face) => ({ face, others: near }))
  return [...onGround, ...onSet].flatMap(({ face, others }) => litPart(beam, cone, face, others))
}

/** Inward normals of the pyramid's sides, all through the lens. */
function pyramid({ direction }: Beam, half: number): Vec3[] {
  const [u, v] = basis(direction)
  const slope = Math.tan(half * DEGREE)
  const edge = (i: number) => {
    const turn = (2 * Math.PI * i) / SIDES
    return add(direction, add(scale(u, slope * Math.cos(turn)), scale(v, slope * Math.sin(turn))))
  }
  return Array.from({ length: SIDES }, (_, i) => cross(edge(i), edge(i + 1)))
}

/** Two unit vectors that make a right-handed frame with a unit normal. */
function basis(normal: Vec3): [Vec3, Vec3] {
  const helper = Math.abs(normal.z) < 0.9 ? vec3(0, 0, 1) : vec3(1, 0, 0)
  const u = normalise(cross(helper, normal))
  return [u, cross(normal, u)]
}

/** Whether the ball round a prism touches the cone. */
function isTouched({ lens, direction }: Beam, half: number, { outline, bottom, top }: PlacedPrism): boolean {
  const middle = scale(
    outline.reduce<Vec3>((sum, p) => add(sum, vec3(p.x, p.y, 0)), vec3(0, 0, 0)),
    1 / outline.length,
  )
  const centre = vec3(middle.x, middle.y, (bottom + top) / 2)
  const radius = Math.max(...outline.map((p) => length(subtract(vec3(p.x, p.y, top), centre))))
  const away = subtract(centre, lens)
  const distance = length(away)
  if (distance <= radius) return true
  const off = Math.acos(Math.max(-1, Math.min(1, dot(away, direction) / distance))) / DEGREE
  return off <= half + Math.asin(radius / distance) / DEGREE
}

function litPart(beam: Beam, cone: readonly Vec3[], face: Face, blockers: readonly PlacedPrism[]): LitFace[] {
  const anchor = face.corners[0]
  if (!anchor) return []
  const above = dot(subtract(beam.lens, anchor), face.normal)
  if (above <= ON_PLANE) return []
  const cut = cone.reduce<readonly Vec3[]>((corners, side) => clip(corners, beam.lens, side), face.corners)
  if (cut.length < 3) return []
  const [u, v] = basis(face.normal)
  const flat = (p: Vec3): Pair => [dot(subtract(p, anchor), u), dot(subtract(p, anchor), v)]
  const lift = ([a, b]: Pair): Vec3 => add(anchor, add(scale(u, a), scale(v, b)))
  const shadows = blockers.flatMap((prism) => shadowOf(prism, beam.lens, anchor, face.normal, flat))
  return without([cut.map(flat)], shadows).map(([rim = [], ...holes]) => ({
    normal: face.normal,
    rim: open(rim).map(lift),
    holes: holes.map((hole) => open(hole).map(lift)),
  }))
}

/** The part of a polygon on the inner side of a plane through `origin` (Sutherland and Hodgman). */
function clip(corners: readonly Vec3[], origin: Vec3, inward: Vec3): Vec3[] {
  return corners.flatMap((corner, i) => {
    const next = corners[(i + 1) % corners.length] ?? corner
    const a = dot(subtract(corner, origin), inward)
    const b = dot(subtract(next, origin), inward)
    const kept = a >= 0 ? [corner] : []
    if (a >= 0 === b >= 0) return kept
    return [...kept, add(corner, scale(subtract(next, corner), a / (a - b)))]
  })
}

/** The shadow of a prism from a point on a plane, as a ring in the plane; nothing when it casts none. */
function shadowOf(prism: PlacedPrism, lens: Vec3, anchor: Vec3, normal: Vec3, flat: (p: Vec3) => Pair): Polygon[] {
  const above = dot(subtract(lens, anchor), normal)
  const between = cornersBetween(prism, anchor, normal)
  const thrown = between.flatMap((corner) => {
    const fall = dot(subtract(lens, corner), normal)
    // What hangs as high as the lens or higher throws its shadow away from the plane.
    return fall > ON_PLANE ? [flat(add(lens, scale(subtract(corner, lens), above / fall)))] : []
  })
  const rim = thrown.length === between.length ? hull(thrown) : []
  return rim.length >= 3 ? [[rim]] : []
}

/** The corners of the part of a prism that lies on the lit side of a plane. */
function cornersBetween({ outline, bottom, top }: PlacedPrism, anchor: Vec3, normal: Vec3): Vec3[] {
  const height = (p: Vec3) => dot(subtract(p, anchor), normal)
  const edges = outline.flatMap((p, i): [Vec3, Vec3][] => {
    const next = outline[(i + 1) % outline.length] ?? p
    return [
      [vec3(p.x, p.y, bottom), vec3(p.x, p.y, top)],
      [vec3(p.x, p.y, top), vec3(next.x, next.y, top)],
      [vec3(p.x, p.y, bottom), vec3(next.x, next.y, bottom)],
    ]
  })
  const found = edges.flatMap(([from, to]) => {
    const a = height(from)
    const b = height(to)
    const kept = a > ON_PLANE ? [from] : []
    if (a > ON_PLANE === b > ON_PLANE) return b > ON_PLANE ? [...kept, to] : kept
    return [...kept, add(from, scale(subtract(to, from), a / (a - b))), ...(b > ON_PLANE ? [to] : [])]
  })
  return found.some((p) => height(p) > ON_PLANE) ? found : []
}

/** The convex hull of points (Andrew's monotone chain). */
function hull(points: readonly Pair[]): Ring {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1])
  const turn = (o: Pair, a: Pair, b: Pair) => (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0])
  const chain = (given: readonly Pair[]) => {
    const kept: Pair[] = []
    for (const point of given) {
      while (kept.length >= 2) {
        const [o, a] = kept.slice(-2)
        if (!o || !a || turn(o, a, point) > 1e-12) break
        kept.pop()
      }
      kept.push(point)
    }
    return kept.slice(0, -1)
  }
  return [...chain(sorted), ...chain([...sorted].reverse())]
}

/** A polygon without some others. */
function without(polygon: Polygon, others: readonly Polygon[]): Polygon[] {
  if (others.length === 0) return [polygon]
  try {
    return polygonClipping.difference(polygon, ...others)
  } catch {
    // The clipping gives up on some edges that all but touch. A pool without its shadows is then
    // nearer the truth than no pool.
    return [polygon]
  }
}

/** A closed ring's corners, the repeated last one left out. */
function open(ring: Ring): Ring {
  const first = ring[0]
  const last = ring.at(-1)
  const isClosed = first && last && ring.length > 1 && first[0] === last[0] && first[1] === last[1]
  return isClosed ? ring.slice(0, -1) : ring
}
