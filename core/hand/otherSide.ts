/**
 * The second way a head can light the same place: pan half a turn on, tilt mirrored. Told with how
 * long each way takes from where the head is on stage.
 */
import { add, scale, type Vec3 } from '../geometry/vector'
import type { Beam } from '../kinematics/forward'
import type { Mount, Pose } from '../kinematics/head'
import { allWays, type Way } from '../kinematics/inverse'
import { moveTime } from '../kinematics/motorTime'

/** A way to a place, and the seconds the head needs to get there. */
export interface TimedWay extends Way {
  readonly seconds: number
}

/** Light that lands nowhere is kept on a place this far along it, metres. */
const FAR = 10

/** The place a beam keeps when its head turns the other way round: what it is aimed at, else what lies along it. */
export function placeKept(beam: Beam, aimedAt: Vec3 | null): Vec3 {
  return aimedAt ?? add(beam.lens, scale(beam.direction, FAR))
}

/** Every way to a place inside the stops, the quickest from a pose first. */
export function waysFrom(mount: Mount, place: Vec3, from: Pose): TimedWay[] {
  return allWays(mount, place, from)
    .map((way) => ({ ...way, seconds: moveTime(mount.head, from, way) }))
    .sort((a, b) => a.seconds - b.seconds || Math.abs(a.pan) - Math.abs(b.pan))
}

/** The quickest way on the other side than `side`; null where the stops allow none. */
export function otherWay(mount: Mount, place: Vec3, side: Way['side'], from: Pose): TimedWay | null {
  return waysFrom(mount, place, from).find((way) => way.side !== side) ?? null
}
