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
import { rotation, unrotate } from '../geometry/rotation'
import { angleBetween, distance, subtract, type Vec3 } from '../geometry/vector'
import { AT_THE_LENS, EQUALLY_NEAR, ON_PAN_AXIS, STOP_SLACK } from '../geometry/tolerance'
import { beamAt, missDistance, type Beam } from './forward'
import { HOME, type Axis, type Head, type Mount, type Pose } from './head'
import { axisTime } from './motorTime'

/** Which way a head is turned: the sign its tilt has without lens offsets. */
export type Side = 'positive' | 'negative'

/**
 * How to choose among the ways: near a pose, on a side where one is asked for, and in the turn of pan
 * nearest to `turn` (degrees) where one was chosen before.
 */
export interface Choice {
  readonly reference: Pose
  readonly side?: Side | undefined
  readonly turn?: number | undefined
}

/** A head at a place. `throwMetres` runs from the lens to the target. */
export interface Reached extends Pose {
  readonly reachable: true
  readonly side: Side
  readonly throwMetres: number
}

/**
 * A head that cannot get there: the nearest pose inside its stops, by how many degrees the axis
 * that falls short would have to go on (for a target inside the head's own offset: by how many
 * degrees the beam points past it), and by how many metres the beam misses the target.
 */
export interface OutOfReach extends Pose {
  readonly reachable: false
  readonly side: Side
  readonly throwMetres: number
  readonly shortDegrees: number
  readonly missMetres: number
}

export type Solved = Reached | OutOfReach

/** One way to reach a target. */
export interface Way extends Pose {
  readonly side: Side
}

const TO_DEGREES = 180 / Math.PI
const NEAREST_HOME: Choice = { reference: HOME }

/** The two ways round before whole turns, in degrees; `free` where the target is on the pan axis. */
interface Ways {
  readonly negativePan: number
  readonly negativeTilt: number
  readonly positivePan: number
  readonly positiveTilt: number
  readonly throwMetres: number
  readonly free: boolean
}

/** The ways round to `v` (fixture frame, from the pivot), or null inside the head's own offset. */
function waysTo(head: Head, v: Vec3): Ways | null {
  const { across, normal, forward } = head.lens
  const rSquared = v.x * v.x + v.y * v.y
  const wSquared = rSquared - across * across
  if (wSquared < 0) return null
  const w = Math.sqrt(wSquared)
  const rhoSquared = wSquared + v.z * v.z
  const reachSquared = rhoSquared - normal * normal
  if (reachSquared <= 0) return null
  const throwMetres = Math.sqrt(reachSquared) - forward
  if (throwMetres < AT_THE_LENS) return null

  const bearing = Math.atan2(v.y, v.x)
  const swing = across === 0 ? Math.PI / 2 : Math.atan2(w, across)
  const lean = Math.atan2(w, -v.z)
  const twist = normal === 0 ? 0 : Math.asin(normal / Math.sqrt(rhoSquared))
  return {
    negativePan: (bearing + swing) * TO_DEGREES,
    negativeTilt: (-lean - twist) * TO_DEGREES,
    positivePan: (bearing - swing) * TO_DEGREES,
    positiveTilt: (lean - twist) * TO_DEGREES,
    throwMetres,
    free: across === 0 && rSquared < ON_PAN_AXIS * ON_PAN_AXIS,
  }
}

/**
 * The angle among `angle + 360·k` inside the axis that lies nearest to `near`; NaN when none does.
 * On a tie the smaller size wins.
 */
function nearestTurn(angle: number, near: number, axis: Axis): number {
  const turns = (near - angle) / 360
  const below = Math.floor(turns)
  const part = turns - below
  const turned = angle + 360 * (part > 0.5 ? below + 1 : below)
  if (turned >= axis.min && turned <= axis.max && part !== 0.5) return turned
  return nearestTurnAtStops(angle, part > 0.5 ? below + 1 : below, part === 0.5, axis)
}

/** The rarer half of `nearestTurn`: a tie between two turns, or the nearest one beyond a stop. */
function nearestTurnAtStops(angle: number, nearest: number, isTie: boolean, axis: Axis): number {
  const lowest = Math.ceil((axis.min - STOP_SLACK - angle) / 360)
  const highest = Math.floor((axis.max + STOP_SLACK - angle) / 360)
  if (lowest > highest) return Number.NaN
  const isUpperSmaller = Math.abs(angle + 360 * (nearest + 1)) < Math.abs(angle + 360 * nearest)
  const wanted = isTie && isUpperSmaller ? nearest + 1 : nearest
  return clampToAxis(angle + 360 * Math.min(highest, Math.max(lowest, wanted)), axis)
}

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

function clampToAxis(angle: number, axis: Axis): number {
  return angle < axis.min ? axis.min : angle > axis.max ? axis.max : angle
}

/** The target in the fixture frame, from the crossing of the axes. */
function seenFromPivot(mount: Mount, target: Vec3): Vec3 {
  return unrotate(mount.rotation, subtract(target, mount.pivot))
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

  const takePositive = !hasNegative
    ? true
    : !hasPositive
      ? false
      : choice.side !== undefined
        ? choice.side === 'positive'
        : isNearer(head, reference, positivePan, positiveTilt, negativePan, negativeTilt)
  const { throwMetres } = ways
  return takePositive
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

/** Every whole-turn variant of an angle inside an axis, in rising order. */
function turnsInside(angle: number, axis: Axis): number[] {
  const found: number[] = []
  const lowest = Math.ceil((axis.min - STOP_SLACK - angle) / 360)
  const highest = Math.floor((axis.max + STOP_SLACK - angle) / 360)
  for (let turn = lowest; turn <= highest; turn++) found.push(clampToAxis(angle + 360 * turn, axis))
  return found
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

/** A pose inside the stops, and by how many degrees an axis falls short of where it should go. */
interface Attempt {
  readonly pose: Pose
  readonly side: Side
  readonly short: number
}

/** Clamped poses worth trying for a target no pose reaches. */
function clampedPoses(head: Head, v: Vec3): Attempt[] {
  const ways = waysTo(head, v)
  if (ways === null) return insideOffset(head, v)
  const tries: Attempt[] = []
  const consider = (pan: number, tilt: number, side: Side) => {
    const stoppedPan = nearestInside(pan, head.pan)
    // With pan stopped early, another tilt brings the beam nearer than the one solved for.
    const bestTilt = stoppedPan.short > 0 ? tiltAtPan(v, stoppedPan.angle) : tilt
    const stoppedTilt = nearestInside(bestTilt, head.tilt)
    const short = Math.max(stoppedPan.short, stoppedTilt.short)
    tries.push({ pose: { pan: stoppedPan.angle, tilt: stoppedTilt.angle }, side, short })
  }
  consider(ways.positivePan, ways.positiveTilt, 'positive')
  consider(ways.negativePan, ways.negativeTilt, 'negative')
  return tries
}

/** The best tilt in degrees with pan held, the lens taken at the crossing of the axes. */
function tiltAtPan(v: Vec3, pan: number): number {
  const radians = pan / TO_DEGREES
  return Math.atan2(v.y * Math.cos(radians) - v.x * Math.sin(radians), -v.z) * TO_DEGREES
}

function angleOff(beam: Beam, target: Vec3): number {
  return angleBetween(beam.direction, subtract(target, beam.lens))
}

/** Where the target is nearer than the lens offset, the head can only look its way. */
function insideOffset(head: Head, v: Vec3): Attempt[] {
  const bearing = Math.atan2(v.y, v.x) * TO_DEGREES
  return [bearing, bearing + 90, bearing - 90].map((angle) => {
    const pan = nearestInside(angle, head.pan).angle
    const tilt = nearestInside(tiltAtPan(v, pan), head.tilt).angle
    return { pose: { pan, tilt }, side: tilt < 0 ? 'negative' : 'positive', short: 0 }
  })
}

/** The angle inside the axis that some whole turn of `angle` comes nearest to, and what is missing. */
function nearestInside(angle: number, axis: Axis): { angle: number; short: number } {
  const inside = nearestTurn(angle, 0, axis)
  if (!Number.isNaN(inside)) return { angle: inside, short: 0 }
  const above = angle + 360 * Math.ceil((axis.max - angle) / 360)
  const overTop = above - axis.max
  const underBottom = axis.min - (above - 360)
  return overTop <= underBottom ? { angle: axis.max, short: overTop } : { angle: axis.min, short: underBottom }
}

/** Degrees of pan between poses tried for a lens off the axes; between the best of them it is narrowed down. */
const PAN_STEP = 3
const NARROWINGS = 40
/** Metres. A valley this much higher at the steps may still be the lowest between them. */
const STEP_SLACK = 0.5
const UPRIGHT = rotation(0, 0, 0)

/**
 * The pose inside the stops whose beam passes nearest to `v`, for a lens off the axes: there the miss
 * has no closed form once an axis stops. For a pan held, the best tilt is at a stop or where the beam
 * meets the target in the plane it tilts in; over pan the least is looked for step by step.
 */
function leastMiss(head: Head, v: Vec3): Attempt[] {
  const mount: Mount = { head, pivot: { x: 0, y: 0, z: 0 }, rotation: UPRIGHT }
  const missAt = (pan: number) => bestTilt(mount, v, pan).miss
  const count = Math.max(1, Math.ceil((head.pan.max - head.pan.min) / PAN_STEP))
  const step = (head.pan.max - head.pan.min) / count
  const misses = Array.from({ length: count + 1 }, (_, i) => missAt(head.pan.min + i * step))
  const least = Math.min(...misses)
  return misses.flatMap((miss, i) => {
    const isValley = miss <= (misses[i - 1] ?? Infinity) && miss <= (misses[i + 1] ?? Infinity)
    if (!isValley || miss > least + STEP_SLACK) return []
    const from = head.pan.min + Math.max(0, i - 1) * step
    const to = head.pan.min + Math.min(count, i + 1) * step
    const pan = narrowed(missAt, from, to)
    const { tilt } = bestTilt(mount, v, pan)
    return [{ pose: { pan, tilt }, side: tilt < 0 ? 'negative' : 'positive', short: 0 } as const]
  })
}

/** Where a valley of a function between two numbers is lowest, by golden section. */
function narrowed(of: (x: number) => number, from: number, to: number): number {
  const part = (Math.sqrt(5) - 1) / 2
  let [low, high] = [from, to]
  for (let i = 0; i < NARROWINGS; i++) {
    const [a, b] = [high - part * (high - low), low + part * (high - low)]
    if (of(a) <= of(b)) high = b
    else low = a
  }
  const middle = (low + high) / 2
  return [from, to].reduce((best, end) => (of(end) < of(best) ? end : best), middle)
}

/** The best tilt with pan held, and by how much the beam then misses. */
function bestTilt(mount: Mount, v: Vec3, pan: number): { readonly tilt: number; readonly miss: number } {
  const { tilt, lens } = mount.head
  const radians = pan / TO_DEGREES
  const across = v.y * Math.cos(radians) - v.x * Math.sin(radians)
  const rho = Math.hypot(across, v.z)
  const aimed = (Math.atan2(across, -v.z) - Math.asin(Math.min(1, Math.max(-1, lens.normal / rho)))) * TO_DEGREES
  const tilts = [tilt.min, tilt.max, ...turnsInside(aimed, tilt)]
  const tried = tilts.map((angle) => ({ tilt: angle, miss: missDistance(beamAt(mount, { pan, tilt: angle }), v) }))
  return tried.reduce((best, one) => (one.miss < best.miss ? one : best))
}

function nearestPose(mount: Mount, target: Vec3, choice: Choice): OutOfReach {
  const { head } = mount
  const v = seenFromPivot(mount, target)
  const isOffset = head.lens.across !== 0 || head.lens.normal !== 0
  const attempts = isOffset ? [...clampedPoses(head, v), ...leastMiss(head, v)] : clampedPoses(head, v)
  const tries = attempts.map((attempt) => ({
    ...attempt,
    beam: beamAt(mount, attempt.pose),
    missMetres: missDistance(beamAt(mount, attempt.pose), target),
  }))
  const best = tries.reduce((a, b) => {
    if (Math.abs(a.missMetres - b.missMetres) > EQUALLY_NEAR) return a.missMetres < b.missMetres ? a : b
    if (choice.side !== undefined && a.side !== b.side) return a.side === choice.side ? a : b
    return Math.abs(a.pose.pan) <= Math.abs(b.pose.pan) ? a : b
  })
  return {
    reachable: false,
    pan: best.pose.pan,
    tilt: best.pose.tilt,
    side: best.side,
    throwMetres: distance(best.beam.lens, target),
    shortDegrees: best.short > 0 ? best.short : angleOff(best.beam, target),
    missMetres: best.missMetres,
  }
}
