/** A head that makes a movement: its poses, what its motors make of the path, and what they could make. */
import { add, distance, scale, subtract, type Vec3 } from '../geometry/vector'
import { beamAt } from '../kinematics/forward'
import type { Mount, Pose } from '../kinematics/head'
import { heldTo, type Held } from '../kinematics/held'
import { chased, type AxisMotion } from '../kinematics/lag'
import type { Way } from '../kinematics/solved'
import { clampToAxis } from '../kinematics/turns'
import { displacement, type Aimed, type Displacement } from './lying'
import type { Movement } from './movement'
import { roundsAMinute, type Beat } from './tempo'

/** A head that is aimed at a place, metres in the stage frame, and the pose it has there. */
export interface MovedHead {
  readonly mount: Mount
  readonly place: Vec3
  readonly still: Way
  readonly target: Aimed['target']
}

/** What the displacement of a head is worked out by. */
export function aimedBy({ mount, place, target }: Omit<MovedHead, 'still'>): Aimed {
  return { beam: subtract(place, mount.pivot), target }
}

/** The pose that takes the light so far off its place, as heldTo has it; degrees come on top, within the stops. */
export function poseMoved({ mount, place, still }: MovedHead, { offset, pan, tilt }: Displacement): Held {
  const held = heldTo(mount, still, add(place, offset))
  if (pan === 0 && tilt === 0) return held
  const { head } = mount
  return { ...held, pan: clampToAxis(held.pan + pan, head.pan), tilt: clampToAxis(held.tilt + tilt, head.tilt) }
}

/** Instants of a round that a head is followed at. */
const INSTANTS = 360

/** The poses of a round, one for each instant. Of wandering, which never comes back, a stretch as long. */
function posesOf(head: MovedHead, movement: Movement): readonly Pose[] {
  const aimed = aimedBy(head)
  return Array.from({ length: INSTANTS }, (_, i) =>
    poseMoved(head, displacement(movement, (movement.backwards ? -i : i) / INSTANTS, aimed)),
  )
}

/**
 * How far the light of a head strays from its path at most, metres at the throw of its place, when a
 * round takes so many seconds: its motors cut corners and bends they are too slow for. 0 for one that
 * keeps up, or whose motors nobody knows.
 */
export function strayed(head: MovedHead, movement: Movement, secondsARound: number): number {
  return strayedFrom(head, posesOf(head, movement), secondsARound)
}

function strayedFrom({ mount, place }: MovedHead, poses: readonly Pose[], secondsARound: number): number {
  const dt = secondsARound / INSTANTS
  const lightAt = (pose: Pose) => {
    const { lens, direction } = beamAt(mount, pose)
    return add(lens, scale(direction, distance(lens, place)))
  }
  const path = poses.map(lightAt)
  const last = poses.at(-1)
  if (!last) return 0
  let before = last
  let pan: AxisMotion = { at: last.pan, speed: 0 }
  let tilt: AxisMotion = { at: last.tilt, speed: 0 }
  let most = 0
  // One round to come up to speed, one that counts.
  for (const [i, pose] of [...poses, ...poses].entries()) {
    pan = chased(pan, { at: pose.pan, speed: (pose.pan - before.pan) / dt }, mount.head.pan, dt)
    tilt = chased(tilt, { at: pose.tilt, speed: (pose.tilt - before.tilt) / dt }, mount.head.tilt, dt)
    before = pose
    if (i < poses.length) continue
    const light = lightAt({ pan: pan.at, tilt: tilt.at })
    most = Math.max(most, offPath(path, i % poses.length, light))
  }
  return most
}

/** How far a place is from a closed path, metres; nothing for one on it, looked at first where it should be. */
function offPath(path: readonly Vec3[], at: number, light: Vec3): number {
  const asked = path[at]
  if (asked && distance(asked, light) < 1e-9) return 0
  return path.reduce(
    (least, from, i) => Math.min(least, fromPiece(from, path[(i + 1) % path.length] ?? from, light)),
    Infinity,
  )
}

function fromPiece(from: Vec3, to: Vec3, light: Vec3): number {
  const [way, off] = [subtract(to, from), subtract(light, from)]
  const long = way.x ** 2 + way.y ** 2 + way.z ** 2
  const t = long === 0 ? 0 : Math.min(1, Math.max(0, (off.x * way.x + off.y * way.y + off.z * way.z) / long))
  return distance(off, scale(way, t))
}

/** A light that strays less is true to its path, metres: nobody sees it in a pool. */
export const TRUE_TO_PATH = 0.05

/** Halvings until a tempo or a size is found: to a part in a thousand. */
const HALVINGS = 10

/** The most of what is asked, 0 to 1, that is true; 1 where all of it is, 0 where nothing is. */
function mostTrue(isTrue: (part: number) => boolean): number {
  if (isTrue(1)) return 1
  let [low, high] = [0, 1]
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2
    if (isTrue(middle)) low = middle
    else high = middle
  }
  return low
}

/** The quickest tempo, rounds a minute, no quicker than it is, in which a head is true to the path; 0 for none. */
export function quickestTrue(head: MovedHead, movement: Movement, beat: Beat): number {
  const asked = roundsAMinute(movement, beat)
  const poses = posesOf(head, movement)
  return asked * mostTrue((part) => strayedFrom(head, poses, 60 / (asked * part)) <= TRUE_TO_PATH)
}

/** The largest size, as a part of what it is, at which a head is true to the path in its tempo; 0 for none. */
export function largestTrue(head: MovedHead, movement: Movement, beat: Beat): number {
  const seconds = 60 / roundsAMinute(movement, beat)
  const sized = (part: number) => ({ ...movement, along: movement.along * part, across: movement.across * part })
  return mostTrue((part) => strayed(head, sized(part), seconds) <= TRUE_TO_PATH)
}
