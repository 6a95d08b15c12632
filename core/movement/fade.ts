/** What is between two movements: one begins, ends, or goes over into the other. */
import { add, scale } from '../geometry/vector'
import { displacement, UNMOVED, type Aimed, type Displacement } from './lying'
import { comesBack, type Movement } from './movement'
import { ofRound } from './place'
import { roundsAt, type Beat } from './tempo'

export interface Instant {
  readonly beat: Beat
  /** Milliseconds since 1970. */
  readonly now: number
}

/**
 * How far a light is off its place part of the way, 0 to 1, from one movement to another; null is standing
 * still, so that the size fades in or out. Two that come round on the same kind of path are run as one, which
 * goes on from where the first is and ends where the second is, the shorter way: its size never
 * shrinks in between.
 */
export function displacementBetween(
  from: Movement | null,
  to: Movement | null,
  part: number,
  { beat, now }: Instant,
  aimed: Aimed,
): Displacement {
  const rounds = from && to && isAlike(from, to) ? glided(from, to, part, { beat, now }) : null
  const of = (movement: Movement | null) =>
    movement ? displacement(movement, rounds ?? roundsAt(movement, beat, now), aimed) : UNMOVED
  if (part <= 0) return of(from)
  if (part >= 1) return of(to)
  return mixed(of(from), of(to), part)
}

const isAlike = (a: Movement, b: Movement) => a.path.form === b.path.form && comesBack(a)

/** From the rounds of one to those of the other, the shorter way round. */
function glided(from: Movement, to: Movement, part: number, { beat, now }: Instant): number {
  const [begin, end] = [roundsAt(from, beat, now), roundsAt(to, beat, now)]
  const ahead = ofRound(end - begin + 0.5) - 0.5
  return begin + ahead * Math.min(1, Math.max(0, part))
}

function mixed(a: Displacement, b: Displacement, part: number): Displacement {
  const mix = (from: number, to: number) => from + (to - from) * part
  return {
    offset: add(scale(a.offset, 1 - part), scale(b.offset, part)),
    pan: mix(a.pan, b.pan),
    tilt: mix(a.tilt, b.tilt),
  }
}
