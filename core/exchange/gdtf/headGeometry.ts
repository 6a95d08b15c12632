/** What our mathematics needs of a head's geometry: where the axes cross, where the lens sits, which way is zero. */
import { DEGREE, rotate } from '../../geometry/rotation'
import { add, cross, dot, length, normalise, scale, subtract, vec3, type Vec3 } from '../../geometry/vector'
import type { FixtureType } from '../../show/entities'
import type { Part } from './geometryTree'

/** `pan` ours is `sign · theirs + zero`; tilt likewise. Degrees. */
export interface AxisSense {
  readonly sign: 1 | -1
  readonly zero: number
}

export interface HeadGeometry {
  readonly pivotDrop: number
  readonly lens: FixtureType['lens']
  readonly pan: AxisSense
  readonly tilt: AxisSense
  /** What our head cannot say of theirs, metres: how far its axes miss each other. */
  readonly axesMiss: number
  /** Whether its pan axis stands upright in its frame, in the middle of it. */
  readonly isUpright: boolean
}

const PLAIN: AxisSense = { sign: 1, zero: 0 }
const DOWN = vec3(0, 0, -1)

/**
 * Reads a head off its parts as they stand at zero. Pan turns about the yoke's own z, tilt about the
 * head's own x, both right-handed, and light leaves along the beam's own −z. Ours tilts about x
 * turned by pan, so a yoke built across turns where pan is zero, and a beam that does not leave
 * downwards where tilt is. Of several beams the lens is in their middle.
 */
export function headGeometry(yoke: Part | null, head: Part | null, beams: readonly Part[]): HeadGeometry {
  const [beam] = beams
  const lensAt = middleOf(beams.map(({ frame }) => frame.origin))
  const way = beam ? rotate(beam.frame.rotation, DOWN) : DOWN
  if (!yoke || !head) {
    const lens = { across: lensAt.x, normal: lensAt.y, forward: 0 }
    return { pivotDrop: -lensAt.z, lens, pan: PLAIN, tilt: PLAIN, axesMiss: 0, isUpright: way.z < -0.999 }
  }
  const panAxis = rotate(yoke.frame.rotation, vec3(0, 0, 1))
  const tiltAxis = rotate(head.frame.rotation, vec3(1, 0, 0))
  const { on, apart } = nearest(yoke.frame.origin, panAxis, head.frame.origin, tiltAxis)
  const across = Math.atan2(tiltAxis.y, tiltAxis.x) / DEGREE
  const turned = Math.abs(across) <= 90 ? across : across - Math.sign(across) * 180
  const tiltSign = Math.abs(across) <= 90 ? 1 : -1
  const x = vec3(Math.cos(turned * DEGREE), Math.sin(turned * DEGREE), 0)
  const y = vec3(-x.y, x.x, 0)
  const leaning = Math.atan2(dot(way, y), -way.z)
  const out = subtract(lensAt, on)
  const forward = vec3(0, Math.sin(leaning), -Math.cos(leaning))
  const normal = vec3(0, Math.cos(leaning), Math.sin(leaning))
  const inHead = vec3(dot(out, x), dot(out, y), out.z)
  return {
    pivotDrop: -on.z,
    lens: { across: inHead.x, normal: dot(inHead, normal), forward: dot(inHead, forward) },
    pan: { sign: panAxis.z < 0 ? -1 : 1, zero: turned },
    tilt: { sign: tiltSign, zero: leaning / DEGREE },
    axesMiss: apart,
    isUpright: Math.abs(panAxis.z) > 0.9999 && Math.hypot(on.x, on.y) < 5e-4 && Math.abs(dot(way, tiltAxis)) < 1e-3,
  }
}

function middleOf(points: readonly Vec3[]): Vec3 {
  return points.length === 0 ? vec3(0, 0, 0) : scale(points.reduce(add), 1 / points.length)
}

/** The point on the first line nearest to the second, and how far they miss each other; for parallel ones the first's own. */
function nearest(p: Vec3, along: Vec3, q: Vec3, across: Vec3): { on: Vec3; apart: number } {
  const square = cross(along, across)
  const size = dot(square, square)
  if (size < 1e-12) return { on: p, apart: length(subtract(q, p)) }
  const t = dot(cross(subtract(q, p), across), square) / size
  return { on: add(p, scale(along, t)), apart: Math.abs(dot(subtract(q, p), normalise(square))) }
}
