/**
 * From pan and tilt to the beam. In the fixture frame the beam leaves along
 * `Rz(pan) · Rx(tilt) · (0, 0, −1)`, so pan 0 and tilt 0 point straight down under an upright hung
 * fixture and positive tilt leans upstage.
 */
import { add, dot, length, scale, subtract, type Vec3 } from '../geometry/vector'
import { DEGREE, rotate } from '../geometry/rotation'
import type { Mount, Pose } from './head'

/** A beam's axis in the stage frame: where the lens is, and a unit vector along the light. */
export interface Beam {
  readonly lens: Vec3
  readonly direction: Vec3
}

/** The beam of a head at a pose (degrees). The pose is not checked against the stops. */
export function beamAt(mount: Mount, pose: Pose): Beam {
  const cp = Math.cos(pose.pan * DEGREE)
  const sp = Math.sin(pose.pan * DEGREE)
  const ct = Math.cos(pose.tilt * DEGREE)
  const st = Math.sin(pose.tilt * DEGREE)
  const { across, normal, forward } = mount.head.lens
  // Rx(tilt) applied to (across, normal, −forward), then Rz(pan).
  const y = ct * normal + st * forward
  const z = st * normal - ct * forward
  const lens = { x: cp * across - sp * y, y: sp * across + cp * y, z }
  return {
    lens: add(mount.pivot, rotate(mount.rotation, lens)),
    direction: rotate(mount.rotation, { x: -sp * st, y: cp * st, z: -ct }),
  }
}

/** How a head stands round its light: unit vectors in the stage frame, looking with the light. */
export interface GateAxes {
  readonly right: Vec3
  /** Where positive tilt moves the light. */
  readonly up: Vec3
}

/** The axes of what stands in the light of a head at a pose (degrees): with the light they are right, up and away. */
export function gateAxes(mount: Mount, pose: Pose): GateAxes {
  const cp = Math.cos(pose.pan * DEGREE)
  const sp = Math.sin(pose.pan * DEGREE)
  const ct = Math.cos(pose.tilt * DEGREE)
  const st = Math.sin(pose.tilt * DEGREE)
  return {
    right: rotate(mount.rotation, { x: cp, y: sp, z: 0 }),
    // The direction of the light differentiated by tilt.
    up: rotate(mount.rotation, { x: -sp * ct, y: cp * ct, z: st }),
  }
}

/**
 * Distance in metres from a point to the light of a beam: to its axis, or to the lens for a point
 * behind it, because light goes one way only.
 */
export function missDistance(beam: Beam, point: Vec3): number {
  const toPoint = subtract(point, beam.lens)
  const forward = dot(toPoint, beam.direction)
  if (forward <= 0) return length(toPoint)
  return length(subtract(toPoint, scale(beam.direction, forward)))
}
