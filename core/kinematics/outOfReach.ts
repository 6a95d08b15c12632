/**
 * The pose inside the stops that comes nearest to a target no pose reaches: the one whose beam passes
 * it at the least distance.
 */
import { angleBetween, distance, subtract, type Vec3 } from '../geometry/vector'
import { rotation } from '../geometry/rotation'
import { EQUALLY_NEAR } from '../geometry/tolerance'
import { beamAt, missDistance, type Beam } from './forward'
import type { Axis, Head, Mount, Pose } from './head'
import type { Choice, OutOfReach, Side } from './solved'
import { nearestTurn, seenFromPivot, TO_DEGREES, turnsInside, waysTo } from './turns'

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

/** Degrees of pan between poses candidates for a lens off the axes; between the best of them it is narrowed down. */
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
  // The last step ends at the stop itself: added up, it may lie a rounding beyond.
  const panAt = (i: number) => (i >= count ? head.pan.max : head.pan.min + Math.max(0, i) * step)
  const misses = Array.from({ length: count + 1 }, (_, i) => missAt(panAt(i)))
  const least = Math.min(...misses)
  return misses.flatMap((miss, i) => {
    const isValley = miss <= (misses[i - 1] ?? Infinity) && miss <= (misses[i + 1] ?? Infinity)
    if (!isValley || miss > least + STEP_SLACK) return []
    const pan = narrowed(missAt, panAt(i - 1), panAt(i + 1))
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
  const candidates = tilts.map((angle) => ({ tilt: angle, miss: missDistance(beamAt(mount, { pan, tilt: angle }), v) }))
  return candidates.reduce((best, one) => (one.miss < best.miss ? one : best))
}

export function nearestPose(mount: Mount, target: Vec3, choice: Choice): OutOfReach {
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
