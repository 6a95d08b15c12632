/**
 * The second way a head can light the same place: pan half a turn on, tilt mirrored. Told with how
 * long each way takes from where the head is on stage.
 */
import { cueLookup, pictureOf, type StageFixture } from '../cues/onStage'
import { add, scale, type Vec3 } from '../geometry/vector'
import type { Beam } from '../kinematics/forward'
import type { Mount, Pose } from '../kinematics/head'
import { allWays } from '../kinematics/inverse'
import type { Way } from '../kinematics/solved'
import { moveTime } from '../kinematics/motorTime'
import type { RiggedFixture } from '../show/rig'
import type { Show } from '../show/show'

/** A way to a place, and the seconds the head needs to get there. */
export interface TimedWay extends Way {
  readonly seconds: number
}

/** Light that lands nowhere is kept on a place this far along it, metres. */
const FAR = 10

/** The place a beam keeps when its head turns the other way round: what it is aimed at, else what lies along it. */
function placeKept(beam: Beam, aimedAt: Vec3 | null): Vec3 {
  return aimedAt ?? add(beam.lens, scale(beam.direction, FAR))
}

/** Every way to a place inside the stops, the quickest from a pose first. */
function waysFrom(mount: Mount, place: Vec3, from: Pose): TimedWay[] {
  return allWays(mount, place, from)
    .map((way) => ({ ...way, seconds: moveTime(mount.head, from, way) }))
    .sort((a, b) => a.seconds - b.seconds || Math.abs(a.pan) - Math.abs(b.pan))
}

/** The quickest way on the other side than `side`; null where the stops allow none. */
function otherWay(mount: Mount, place: Vec3, side: Way['side'], from: Pose): TimedWay | null {
  return waysFrom(mount, place, from).find((way) => way.side !== side) ?? null
}

/** The ways of a fixture to where its light is, with the seconds from its pose in the cues on stage. */
export interface Sides {
  /** The way it goes now. */
  readonly seconds: number | null
  readonly other: TimedWay | null
  readonly quickest: TimedWay | null
}

export function sidesOf(show: Show, { rigged, position, beam }: StageFixture): Sides {
  const from = poseInCues(show, rigged)
  const place = placeKept(beam, position.state === 'angles' ? null : position.point)
  const ways = waysFrom(rigged.mount, place, from)
  const isNow = (way: TimedWay) => way.side === position.side && Math.abs(way.pan - position.pose.pan) < 1e-6
  return {
    seconds: ways.find(isNow)?.seconds ?? null,
    other: otherWay(rigged.mount, place, position.side, from),
    quickest: ways[0] ?? null,
  }
}

function poseInCues(show: Show, rigged: RiggedFixture): Pose {
  return pictureOf(show, rigged, cueLookup(show)).position.pose
}
