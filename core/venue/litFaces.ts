/**
 * Where light falls: the parts of the floor, of levels and of the set that lie in a cone of light
 * and are not in the shadow of the set.
 *
 * A face that looks towards the lens is cut by the cone (a pyramid of many sides round it); from
 * what is left the shadow of every prism in the cone is taken away. The shadow of a convex solid
 * from a point on a plane is the hull of its corners' projections from that point; taking a convex
 * shadow away leaves one piece outside each of its edges.
 */
import { add, cross, dot, length, normalise, scale, subtract, vec3, type Vec3 } from '../geometry/vector'
import { DEGREE } from '../geometry/rotation'
import { polygonHull } from 'd3-polygon'
import type { Beam } from '../kinematics/forward'
import type { Level } from '../show/entities'
import type { SetPieceId } from '../show/ids'
import { convexPieces } from './convex'
import { heightOf, normalOf } from './levels'
import { againstTheClock } from './outline'
import { facesOf, type Face, type PlacedPrism } from './solids'
import type { Surfaces } from './surfaces'

/** A lit piece of a face; a face may be lit in several. Corners in the stage frame. */
export interface LitFace {
  readonly normal: Vec3
  readonly rim: readonly Vec3[]
  /** The set piece it is of; null for the floor and levels. */
  readonly piece: SetPieceId | null
}

/** A point in the plane of a face. */
type Pair = readonly [number, number]
type Ring = readonly Pair[]

/** Sides of the pyramid a cone is cut with. */
const SIDES = 28
/** The floor goes on this far beyond the stage; metres. */
const FLOOR_REACH = 40
/** Corners nearer than this to a plane lie on it; metres. */
const ON_PLANE = 1e-6

/** A face that light can fall on, and the set piece it belongs to. */
interface OwnedFace extends Face {
  readonly piece: SetPieceId | null
}

/** The floor and the tops of the levels. */
function groundFaces(levels: readonly Level[]): OwnedFace[] {
  const far = FLOOR_REACH
  const floor = {
    corners: [vec3(-far, -far, 0), vec3(far, -far, 0), vec3(far, far, 0), vec3(-far, far, 0)],
    normal: vec3(0, 0, 1),
    piece: null,
  }
  const tops = levels.flatMap((level) =>
    convexPieces(againstTheClock(level.outline)).map((outline) => ({
      corners: outline.map((p) => vec3(p.x, p.y, heightOf(level, p))),
      normal: normalOf(level),
      piece: null,
    })),
  )
  return [floor, ...tops]
}

/** The sides of a prism as it stands, and the tops and bottoms of the convex pieces it is cut into: no seam has a side. */
function setFaces(prism: PlacedPrism): OwnedFace[] {
  const isSide = ({ normal }: Face) => normal.z === 0
  const caps = convexPieces(prism.outline).flatMap((outline) =>
    facesOf({ ...prism, outline }).filter((face) => !isSide(face)),
  )
  return [...facesOf(prism).filter(isSide), ...caps].map((face) => ({ ...face, piece: prism.piece }))
}

const facesBySurfaces = new WeakMap<Surfaces, ReadonlyMap<PlacedPrism | null, readonly OwnedFace[]>>()

/** The faces of the ground, under null, and of each prism. */
function facesOn(surfaces: Surfaces): ReadonlyMap<PlacedPrism | null, readonly OwnedFace[]> {
  const known = facesBySurfaces.get(surfaces)
  if (known) return known
  const ofSet = surfaces.prisms.map((prism) => [prism, setFaces(prism)] as const)
  const faces = new Map<PlacedPrism | null, readonly OwnedFace[]>([[null, groundFaces(surfaces.levels)], ...ofSet])
  facesBySurfaces.set(surfaces, faces)
  return faces
}

/** The lit pieces of everything in a cone of `angle` degrees (full) round a beam. */
export function litFaces(beam: Beam, angle: number, surfaces: Surfaces): LitFace[] {
  const cone = pyramid(beam, angle / 2)
  const blockers = surfaces.pieces.filter((piece) => isTouched(beam, angle / 2, piece))
  const faces = [...facesOn(surfaces)].flatMap(([prism, ofPrism]) =>
    prism === null || isTouched(beam, angle / 2, prism) ? ofPrism : [],
  )
  // A convex piece lies behind each of its own faces, and throws no shadow on them.
  return faces.flatMap((face) => litPart(beam, cone, face, blockers))
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

function litPart(beam: Beam, cone: readonly Vec3[], face: OwnedFace, blockers: readonly PlacedPrism[]): LitFace[] {
  const anchor = face.corners[0]
  if (!anchor) return []
  const above = dot(subtract(beam.lens, anchor), face.normal)
  if (above <= ON_PLANE) return []
  const cut = within(face.corners, beam.lens, cone)
  if (cut.length < 3) return []
  const [u, v] = basis(face.normal)
  const flat = (p: Vec3): Pair => [dot(subtract(p, anchor), u), dot(subtract(p, anchor), v)]
  const lift = ([a, b]: Pair): Vec3 => add(anchor, add(scale(u, a), scale(v, b)))
  const pool = cut.map(flat)
  const reach = boxOf(pool)
  const shadows = blockers
    .map((prism) => shadowOf(prism, beam.lens, anchor, face.normal, flat))
    .filter((shadow) => shadow.length >= 3 && overlaps(boxOf(shadow), reach))
  return shadows
    .reduce<Ring[]>((pieces, shadow) => pieces.flatMap((piece) => without(piece, shadow)), [pool])
    .map((part) => ({ normal: face.normal, rim: part.map(lift), piece: face.piece }))
}

/** The part of a polygon inside a pyramid; empty as soon as nothing is left. */
function within(corners: readonly Vec3[], lens: Vec3, cone: readonly Vec3[]): readonly Vec3[] {
  let rest = corners
  for (const side of cone) {
    rest = clip(rest, lens, side)
    if (rest.length < 3) return []
  }
  return rest
}

/** The part of a polygon on the inner side of a plane through `origin`. */
function clip(corners: readonly Vec3[], origin: Vec3, inward: Vec3): readonly Vec3[] {
  const heights = corners.map((corner) => dot(subtract(corner, origin), inward))
  return cutOff(corners, heights, (from, to, part) => add(from, scale(subtract(to, from), part)))
}

/**
 * The part of a polygon where the heights of its corners are not negative (Sutherland and
 * Hodgman); `at` gives the place at a part of the way between two corners.
 */
function cutOff<P>(
  corners: readonly P[],
  heights: readonly number[],
  at: (from: P, to: P, part: number) => P,
): readonly P[] {
  if (heights.every((height) => height >= 0)) return corners
  if (heights.every((height) => height < 0)) return []
  const kept: P[] = []
  corners.forEach((corner, i) => {
    const next = (i + 1) % corners.length
    const to = corners[next] ?? corner
    const a = heights[i] ?? 0
    const b = heights[next] ?? 0
    if (a >= 0) kept.push(corner)
    if (a >= 0 !== b >= 0) kept.push(at(corner, to, a / (a - b)))
  })
  return kept
}

/** The shadow of a prism from a point on a plane, as a convex ring in the plane; empty when it casts none. */
function shadowOf(prism: PlacedPrism, lens: Vec3, anchor: Vec3, normal: Vec3, flat: (p: Vec3) => Pair): Ring {
  const above = dot(subtract(lens, anchor), normal)
  const between = cornersBetween(prism, anchor, normal)
  const thrown = between.flatMap((corner) => {
    const fall = dot(subtract(lens, corner), normal)
    // What hangs as high as the lens or higher throws its shadow away from the plane.
    return fall > ON_PLANE ? [flat(add(lens, scale(subtract(corner, lens), above / fall)))] : []
  })
  return thrown.length === between.length ? hull(thrown) : []
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

/** The convex hull of points, against the clock; empty for fewer than three that span anything. */
function hull(points: readonly Pair[]): Ring {
  // d3 winds for screens, where y grows downwards.
  return polygonHull(points.map(([x, y]) => [x, y]))?.reverse() ?? []
}

interface Box {
  readonly low: Pair
  readonly high: Pair
}

function boxOf(ring: Ring): Box {
  const low: [number, number] = [Infinity, Infinity]
  const high: [number, number] = [-Infinity, -Infinity]
  for (const [x, y] of ring) {
    low[0] = Math.min(low[0], x)
    low[1] = Math.min(low[1], y)
    high[0] = Math.max(high[0], x)
    high[1] = Math.max(high[1], y)
  }
  return { low, high }
}

function overlaps(a: Box, b: Box): boolean {
  return a.low[0] < b.high[0] && b.low[0] < a.high[0] && a.low[1] < b.high[1] && b.low[1] < a.high[1]
}

/** The pieces of a polygon outside a convex ring that runs against the clock, one for each of its edges. */
function without(polygon: Ring, convex: Ring): Ring[] {
  const pieces: Ring[] = []
  let rest = polygon
  for (const [i, from] of convex.entries()) {
    const to = convex[(i + 1) % convex.length] ?? from
    if (Math.hypot(to[0] - from[0], to[1] - from[1]) < ON_PLANE) continue
    pieces.push(halved(rest, to, from))
    rest = halved(rest, from, to)
    if (rest.length < 3) return [polygon]
  }
  return pieces.filter((piece) => piece.length >= 3)
}

/** The part of a polygon to the left of a line. */
function halved(polygon: Ring, [ax, ay]: Pair, [bx, by]: Pair): Ring {
  const sides = polygon.map(([x, y]) => (bx - ax) * (y - ay) - (by - ay) * (x - ax))
  return cutOff<Pair>(polygon, sides, ([fx, fy], [tx, ty], part) => [fx + part * (tx - fx), fy + part * (ty - fy)])
}
