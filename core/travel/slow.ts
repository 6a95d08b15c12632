/** Moves that are told to be slow enough without following them. */
import type { Vec3 } from '../geometry/vector'
import type { Axis, Mount, Pose } from '../kinematics/head'
import { seenFromPivot } from '../kinematics/turns'

const DEG = 180 / Math.PI
/** How much harder an axis may change its speed than the square of its speed, in radians: more than a point on a line ever asks. */
const HARDEST = 6

/**
 * Whether a straight move along a line in the stage frame surely asks no more than the motors can,
 * whether its head keeps to the line or goes by angle where it cannot. An axis that follows a point
 * which runs at `v` and comes no nearer than `r` turns at `v / r` at most; what a lens sits aside of
 * the axes is taken off `r`. False says nothing.
 */
export function isSurelySlow(
  { head, ...mount }: Mount,
  [begin, end]: readonly [Vec3, Vec3],
  seconds: number,
  [from, to]: readonly [Pose, Pose],
): boolean {
  if (seconds <= 0) return false
  const [a, b] = [begin, end].map((place) => seenFromPivot({ head, ...mount }, place))
  if (!a || !b) return false
  const { across, normal } = head.lens
  const speed = Math.hypot(b.x - a.x, b.y - a.y, b.z - a.z) / seconds
  const aside = nearest({ ...a, z: 0 }, { ...b, z: 0 })
  const panReach = Math.sqrt(Math.max(0, aside ** 2 - across ** 2))
  const tiltReach = Math.sqrt(Math.max(0, nearest(a, b) ** 2 - across ** 2 - normal ** 2))
  if (panReach === 0 || tiltReach === 0) return false
  // Across the plane a head tilts in a point runs faster than it does itself by what the lens sits aside.
  const tiltSpeed = (speed * aside) / panReach / tiltReach
  const turned = (axis: 'pan' | 'tilt') => Math.abs(to[axis] - from[axis]) / seconds
  return can(head.pan, speed / panReach, turned('pan')) && can(head.tilt, tiltSpeed, turned('tilt'))
}

/** Whether an axis can turn at a speed, radians a second, and change it as hard as may be; and evenly at another, °/s. */
function can({ speed = Infinity, acceleration = Infinity }: Axis, fastest: number, even: number): boolean {
  return fastest * DEG <= speed && HARDEST * fastest ** 2 * DEG <= acceleration && even <= speed
}

/** The least distance of a line from where the axes cross, metres. */
function nearest(a: Vec3, b: Vec3): number {
  const [dx, dy, dz] = [b.x - a.x, b.y - a.y, b.z - a.z]
  const size = dx * dx + dy * dy + dz * dz
  const part = size === 0 ? 0 : Math.min(1, Math.max(0, -(a.x * dx + a.y * dy + a.z * dz) / size))
  return Math.hypot(a.x + dx * part, a.y + dy * part, a.z + dz * part)
}
