/** Straight ways over a head's own pan axis, where it ends the other way round without turning pan: tilt runs on through its middle. */
import { pointBetween, type Vec3, add } from '../geometry/vector'
import { rotate } from '../geometry/rotation'
import type { Mount, Pose } from '../kinematics/head'
import { seenFromPivot } from '../kinematics/turns'

/** Metres the place lit may be led aside to run over the axis: half of what lights that lie on each other may be apart. */
const ASIDE = 0.005
/** Degrees of pan between both ends that come of that. */
const TURNED = 3

/** Where on a line, 0 to 1, and at which place a head's pan axis is passed. */
export interface OverAxis {
  readonly t: number
  readonly point: Vec3
}

/**
 * Where a line in the stage frame runs over the pan axis of a head that keeps its pan from pose to
 * pose; null where it does not. A lens aside of the plane it tilts in never gets there.
 */
export function overAxis(
  mount: Mount,
  [begin, end]: readonly [Vec3, Vec3],
  [from, to]: readonly [Pose, Pose],
): OverAxis | null {
  if (mount.head.lens.across !== 0 || Math.abs(to.pan - from.pan) > TURNED) return null
  const [a, b] = [seenFromPivot(mount, begin), seenFromPivot(mount, end)]
  const [dx, dy] = [b.x - a.x, b.y - a.y]
  const size = dx * dx + dy * dy
  const t = size === 0 ? 0 : -(a.x * dx + a.y * dy) / size
  if (t <= 0 || t >= 1) return null
  const off = { x: a.x + dx * t, y: a.y + dy * t }
  if (Math.hypot(off.x, off.y) > ASIDE) return null
  const height = a.z + (b.z - a.z) * t
  return { t, point: add(mount.pivot, rotate(mount.rotation, { x: 0, y: 0, z: height })) }
}

/** The place lit part of the way, 0 to 1: in two straight pieces, over the axis. */
export function pointOverAxis([begin, end]: readonly [Vec3, Vec3], { t: over, point }: OverAxis, t: number): Vec3 {
  return t < over ? pointBetween(begin, point, t / over) : pointBetween(point, end, (t - over) / (1 - over))
}
