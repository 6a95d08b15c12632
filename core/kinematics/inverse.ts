/**
 * From a place on the stage to pan and tilt.
 *
 * With `v` the target seen from the crossing of the axes in the fixture frame, `r` its distance
 * from the pan axis and `φ` its bearing, the beam's axis passes through it exactly when
 * `cos(pan − φ) = across / r`. That gives two bearings, one on each side; `w = √(r² − across²)` is
 * what is left in the plane the head tilts in, so tilt is `∓atan2(w, −vz) − asin(normal / ρ)` with
 * `ρ = hypot(w, vz)`. The sine and cosine of pan are never needed: in that plane the target lies
 * at `∓w` by construction.
 *
 * Whole turns are then added within the stops. Which of the ways is taken is the caller's choice,
 * by a reference pose and, if wanted, a side; nothing here remembers anything.
 */
import type { Vec3 } from '../geometry/vector'
import { EQUALLY_NEAR } from '../geometry/tolerance'
import { HOME, type Head, type Mount, type Pose } from './head'
import { axisTime } from './motorTime'
import { nearestPose } from './outOfReach'
import type { Choice, Side, Solved, Way } from './solved'
import { clampToAxis, nearestTurn, seenFromPivot, turnsInside, waysTo } from './turns'

const NEAREST_HOME: Choice = { reference: HOME }

/**
 * The pan turn nearest to the reference. Where tilt takes longer than either of two turns, they are
 * equally near, and the smaller |pan| wins.
 */
function nearestPan(angle: number, tilt: number, { reference, turn }: Choice, head: Head): number {
  if (turn !== undefined) return nearestTurn(angle, turn, head.pan)
  const near = nearestTurn(angle, reference.pan, head.pan)
  const other = near > reference.pan ? near - 360 : near + 360
  if (!(Math.abs(other) < Math.abs(near)) || other < head.pan.min || other > head.pan.max) return near
  const tiltTime = axisTime(head.tilt, tilt - reference.tilt)
  return axisTime(head.pan, other - reference.pan) <= tiltTime + EQUALLY_NEAR ? other : near
}

/**
 * Pan and tilt for one target (stage frame, metres).
 *
 * Among the ways inside the stops the one nearest to `choice.reference` is taken, measured as the
 * time the slower axis needs; ties go to the smaller |pan|. With `choice.side` a way on that side
 * is taken when there is one inside the stops, else the other side: the result's `side` tells.
 * A target on the pan axis keeps the reference's pan.
 */
export function solveAim(mount: Mount, target: Vec3, choice: Choice = NEAREST_HOME): Solved {
  const { head } = mount
  const ways = waysTo(head, seenFromPivot(mount, target))
  if (ways === null) return nearestPose(mount, target, choice)
  const { reference } = choice

  const positiveTilt = nearestTurn(ways.positiveTilt, reference.tilt, head.tilt)
  const negativeTilt = nearestTurn(ways.negativeTilt, reference.tilt, head.tilt)
  const positivePan = ways.free
    ? clampToAxis(reference.pan, head.pan)
    : nearestPan(ways.positivePan, positiveTilt, choice, head)
  const negativePan = ways.free ? positivePan : nearestPan(ways.negativePan, negativeTilt, choice, head)
  const hasPositive = positivePan === positivePan && positiveTilt === positiveTilt
  const hasNegative = negativePan === negativePan && negativeTilt === negativeTilt
  if (!hasPositive && !hasNegative) return nearestPose(mount, target, choice)

  const isPositive = !hasNegative
    ? true
    : !hasPositive
      ? false
      : choice.side !== undefined
        ? choice.side === 'positive'
        : isNearer(head, reference, positivePan, positiveTilt, negativePan, negativeTilt)
  const { throwMetres } = ways
  return isPositive
    ? { reachable: true, pan: positivePan, tilt: positiveTilt, side: 'positive', throwMetres }
    : { reachable: true, pan: negativePan, tilt: negativeTilt, side: 'negative', throwMetres }
}

/** Whether the first pose is the nearer one to the reference; equal ones go to the smaller |pan|. */
function isNearer(head: Head, reference: Pose, pan: number, tilt: number, otherPan: number, otherTilt: number) {
  const first = slowerTime(head, reference, pan, tilt)
  const second = slowerTime(head, reference, otherPan, otherTilt)
  if (Math.abs(first - second) > EQUALLY_NEAR) return first < second
  return Math.abs(pan) <= Math.abs(otherPan) + EQUALLY_NEAR
}

function slowerTime(head: Head, reference: Pose, pan: number, tilt: number): number {
  const panTime = axisTime(head.pan, pan - reference.pan)
  const tiltTime = axisTime(head.tilt, tilt - reference.tilt)
  return panTime > tiltTime ? panTime : tiltTime
}

/**
 * All ways to reach a target inside the stops: both sides, all whole turns. Empty when it is out
 * of reach. On the pan axis, where pan is free, the reference's pan stands for all.
 */
export function allWays(mount: Mount, target: Vec3, reference: Pose = HOME): Way[] {
  const { head } = mount
  const ways = waysTo(head, seenFromPivot(mount, target))
  if (ways === null) return []
  const combine = (pans: number[], tilt: number, side: Side) =>
    pans.flatMap((pan) => turnsInside(tilt, head.tilt).map((turned) => ({ pan, tilt: turned, side })))
  if (ways.free) return combine([clampToAxis(reference.pan, head.pan)], ways.positiveTilt, 'positive')
  return [
    ...combine(turnsInside(ways.positivePan, head.pan), ways.positiveTilt, 'positive'),
    ...combine(turnsInside(ways.negativePan, head.pan), ways.negativeTilt, 'negative'),
  ]
}
