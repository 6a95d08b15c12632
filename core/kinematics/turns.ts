/** The two ways round a head can reach a place, before and with the whole turns its axes allow. */
import { subtract, type Vec3 } from '../geometry/vector'
import { unrotate } from '../geometry/rotation'
import { AT_THE_LENS, ON_PAN_AXIS, STOP_SLACK } from '../geometry/tolerance'
import type { Axis, Head, Mount } from './head'

export const TO_DEGREES = 180 / Math.PI

/** The two ways round before whole turns, in degrees; `free` where the target is on the pan axis. */
export interface Ways {
  readonly negativePan: number
  readonly negativeTilt: number
  readonly positivePan: number
  readonly positiveTilt: number
  readonly throwMetres: number
  readonly free: boolean
}

/** The ways round to `v` (fixture frame, from the pivot), or null inside the head's own offset. */
export function waysTo(head: Head, v: Vec3): Ways | null {
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
export function nearestTurn(angle: number, near: number, axis: Axis): number {
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

export function clampToAxis(angle: number, axis: Axis): number {
  return angle < axis.min ? axis.min : angle > axis.max ? axis.max : angle
}

/** Every whole-turn variant of an angle inside an axis, in rising order. */
export function turnsInside(angle: number, axis: Axis): number[] {
  const found: number[] = []
  const lowest = Math.ceil((axis.min - STOP_SLACK - angle) / 360)
  const highest = Math.floor((axis.max + STOP_SLACK - angle) / 360)
  for (let turn = lowest; turn <= highest; turn++) found.push(clampToAxis(angle + 360 * turn, axis))
  return found
}

/** The target in the fixture frame, from the crossing of the axes. */
export function seenFromPivot(mount: Mount, target: Vec3): Vec3 {
  return unrotate(mount.rotation, subtract(target, mount.pivot))
}
