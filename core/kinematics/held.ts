/** A head that follows a place which moves: it keeps its side, and stands at a stop it is led to. */
import type { Vec3 } from '../geometry/vector'
import { beamAt, missDistance } from './forward'
import type { Mount } from './head'
import type { Way } from './solved'
import { clampToAxis, seenFromPivot, waysTo } from './turns'

export interface Held extends Way {
  /** From the lens to the place. */
  readonly throwMetres: number
  /** By how many degrees the stops hold an axis back; by how many metres the beam misses, 0 where it gets there. */
  readonly shortDegrees: number
  readonly missMetres: number
}

/** The variant of an angle nearest to another, degrees: within half a turn. */
function within(angle: number, near: number): number {
  return angle - 360 * Math.round((angle - near) / 360)
}

/**
 * The pose that leads the light of a head from the pose it has to a place (stage frame), on the side that has and
 * less than half a turn away: so a place that moves without jumps turns a head without jumps, unless it passes
 * round the pan axis. Nothing turns the other way round because of a stop. A place inside the head's own
 * offset leaves it as it is.
 */
export function heldTo(mount: Mount, still: Way, place: Vec3): Held {
  const { head } = mount
  const ways = waysTo(head, seenFromPivot(mount, place))
  if (!ways) return { ...still, throwMetres: 0, shortDegrees: 0, missMetres: missDistance(beamAt(mount, still), place) }
  const isPositive = still.side === 'positive'
  const wanted = {
    pan: ways.free ? still.pan : within(isPositive ? ways.positivePan : ways.negativePan, still.pan),
    tilt: within(isPositive ? ways.positiveTilt : ways.negativeTilt, still.tilt),
  }
  const pose = { pan: clampToAxis(wanted.pan, head.pan), tilt: clampToAxis(wanted.tilt, head.tilt) }
  const shortDegrees = Math.max(Math.abs(wanted.pan - pose.pan), Math.abs(wanted.tilt - pose.tilt))
  const missMetres = shortDegrees > 0 ? missDistance(beamAt(mount, pose), place) : 0
  return { ...pose, side: still.side, throwMetres: ways.throwMetres, shortDegrees, missMetres }
}
