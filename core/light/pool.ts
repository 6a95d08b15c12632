/**
 * The pool: where the cone of a beam is cut by a level plane.
 *
 * A cone with half angle h whose axis stands i off the plane's normal, apex at height H, cuts an
 * ellipse as long as i + h < 90°. In the plane through the axis and the normal its ends lie at
 * `H·tan(i − h)` and `H·tan(i + h)` from the foot below the apex, so the long half axis is half
 * their distance; with eccentricity `sin i / cos h` the short one is
 * `H·sin h / √(cos(i + h)·cos(i − h))`. From i + h = 90° on, the pool is open towards the horizon.
 */
import { DEGREE } from '../geometry/rotation'
import { cross, dot, normalise, subtract, vec3, type Vec3 } from '../geometry/vector'
import type { Beam } from '../kinematics/forward'

/** A closed pool. Metres; `turn` is the bearing of the long axis in degrees from +x. */
export interface ClosedPool {
  readonly kind: 'closed'
  readonly centre: Vec3
  readonly halfLong: number
  readonly halfShort: number
  readonly turn: number
}

/** A pool whose far edge never lands; the outline is cut off at the reach it was asked for. */
export interface OpenPool {
  readonly kind: 'open'
  readonly outline: readonly Vec3[]
}

export type Pool = ClosedPool | OpenPool

/**
 * The pool of a beam with the given full angle (degrees) on the level plane at `height` (metres).
 * Null when the light never meets the plane. An open pool is cut off `reach` metres from the lens.
 * Works for a plane below the lens and, for beams from the floor, above it.
 */
export function poolOnLevel(beam: Beam, angle: number, height: number, reach = 40): Pool | null {
  const drop = beam.lens.z - height
  const rise = Math.abs(drop)
  if (rise < 1e-9) return null
  const towards = drop > 0 ? -beam.direction.z : beam.direction.z
  const half = (angle / 2) * DEGREE
  const level = Math.hypot(beam.direction.x, beam.direction.y)
  const incidence = Math.atan2(level, towards)
  if (incidence - half >= Math.PI / 2) return null
  if (incidence + half >= Math.PI / 2 - 1e-6) return openPool(beam, half, height, reach)

  const axes = cutAxes(rise, incidence, half)
  const heading = level > 1e-12 ? vec3(beam.direction.x / level, beam.direction.y / level, 0) : vec3(1, 0, 0)
  return {
    kind: 'closed',
    centre: vec3(beam.lens.x + heading.x * axes.middle, beam.lens.y + heading.y * axes.middle, height),
    halfLong: axes.halfLong,
    halfShort: axes.halfShort,
    turn: Math.atan2(heading.y, heading.x) / DEGREE,
  }
}

/** Axes of the ellipse a closed cut makes; `middle` is its centre's distance from the apex's foot. Metres, radians. */
function cutAxes(rise: number, incidence: number, half: number) {
  const near = rise * Math.tan(incidence - half)
  const far = rise * Math.tan(incidence + half)
  return {
    middle: (near + far) / 2,
    halfLong: (far - near) / 2,
    halfShort: (rise * Math.sin(half)) / Math.sqrt(Math.cos(incidence + half) * Math.cos(incidence - half)),
  }
}

/** A plane by a point on it and its unit normal. */
export interface Plane {
  readonly point: Vec3
  readonly normal: Vec3
}

/** How big a pool is on a plane: its axes in metres (null when it is open) and the incidence in degrees. */
export interface PoolSize {
  readonly incidence: number
  readonly axes: { readonly long: number; readonly short: number } | null
}

/** The size of the pool of a beam with the given full angle (degrees) on any plane; null behind it. */
export function poolOnPlane(beam: Beam, angle: number, plane: Plane): PoolSize | null {
  const height = dot(subtract(beam.lens, plane.point), plane.normal)
  const towards = -dot(beam.direction, plane.normal) * Math.sign(height)
  if (height === 0 || towards <= 0) return null
  const incidence = Math.acos(Math.min(1, towards))
  const half = (angle / 2) * DEGREE
  if (incidence + half >= Math.PI / 2 - 1e-6) return { incidence: incidence / DEGREE, axes: null }
  const { halfLong, halfShort } = cutAxes(Math.abs(height), incidence, half)
  return { incidence: incidence / DEGREE, axes: { long: 2 * halfLong, short: 2 * halfShort } }
}

function openPool(beam: Beam, half: number, height: number, reach: number): OpenPool {
  const drop = beam.lens.z - height
  const flattest = -Math.sign(drop) * (Math.abs(drop) / reach)
  const outline = coneEdge(beam.direction, half, 72).map((edge) => {
    const level = Math.hypot(edge.x, edge.y) || 1e-12
    const slope = edge.z / level
    const landing = drop > 0 ? Math.min(slope, flattest) : Math.max(slope, flattest)
    const run = -drop / landing / level
    return vec3(beam.lens.x + edge.x * run, beam.lens.y + edge.y * run, height)
  })
  return { kind: 'open', outline }
}

/** Unit vectors round the edge of a cone. `half` in radians. */
function coneEdge(axis: Vec3, half: number, count: number): Vec3[] {
  const helper = Math.abs(axis.z) < 0.9 ? vec3(0, 0, 1) : vec3(1, 0, 0)
  const u = normalise(cross(helper, axis))
  const v = cross(axis, u)
  const c = Math.cos(half)
  const s = Math.sin(half)
  return Array.from({ length: count }, (_, i) => {
    const a = (i / count) * 2 * Math.PI
    const cu = s * Math.cos(a)
    const cv = s * Math.sin(a)
    return vec3(axis.x * c + u.x * cu + v.x * cv, axis.y * c + u.y * cu + v.y * cv, axis.z * c + u.z * cu + v.z * cv)
  })
}
