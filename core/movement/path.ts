/** Where on its path a light is after so many rounds. */
import type { Movement, Path } from './movement'
import { MIDDLE, ofRound, type Place } from './place'
import { wanderedTo } from './wander'

/**
 * A piece of a path without a corner: `length` in metres or degrees, `at` a place by the share of that
 * length, 0 to 1.
 */
interface Leg {
  readonly length: number
  readonly at: (share: number) => Place
}

const known = new WeakMap<Movement, readonly Leg[]>()

function legsOf(movement: Movement): readonly Leg[] {
  const legs = known.get(movement) ?? legsOn(movement.path, movement)
  known.set(movement, legs)
  return legs
}

/** Rounds take the light along its path evenly, but for how it eases at corners. Of a path along a target, `along` is the place on that, from -½ to ½ of it, there and back. */
export function placeOnPath(movement: Movement, rounds: number): Place {
  const { path, along, across, mirrored } = movement
  const place =
    path.form === 'wander' ? sized(wanderedTo(path, rounds), { along, across }) : placeOnLegs(movement, ofRound(rounds))
  return mirrored ? { along: -place.along, across: place.across } : place
}

const sized = (place: Place, { along, across }: Place): Place => ({
  along: place.along * along,
  across: place.across * across,
})

function placeOnLegs(movement: Movement, part: number): Place {
  const legs = legsOf(movement)
  const whole = legs.reduce((sum, { length }) => sum + length, 0)
  let left = part * whole
  for (const leg of legs) {
    if (left < leg.length) return leg.at(eased(left / leg.length, legs.length > 1 ? movement.ease : 0))
    left -= leg.length
  }
  return legs[0]?.at(0) ?? MIDDLE
}

/** Slower where it begins and ends: evenly at 0, as a pendulum swings at 1. */
function eased(share: number, ease: number): number {
  return share + ((1 - Math.cos(Math.PI * share)) / 2 - share) * ease
}

function legsOn(path: Path, { along, across }: Place): readonly Leg[] {
  const to = (x: number, y: number): Place => ({ along: x * along, across: y * across })
  switch (path.form) {
    case 'ring':
      return [curved((v) => to(Math.cos(2 * Math.PI * v) / 2, Math.sin(2 * Math.PI * v) / 2))]
    case 'eight':
      return [curved((v) => to(Math.sin(2 * Math.PI * v) / 2, Math.sin(4 * Math.PI * v) / 2))]
    case 'line':
      return [straight(to(-0.5, 0), to(0.5, 0)), straight(to(0.5, 0), to(-0.5, 0))]
    case 'target': {
      const [begin, end] = [
        { along: -0.5, across: 0 },
        { along: 0.5, across: 0 },
      ]
      return [straight(begin, end), straight(end, begin)]
    }
    case 'polygon': {
      const places = path.corners.map(({ x, y }) => to(x, y))
      return places.map((from, i) => straight(from, places[(i + 1) % places.length] ?? from))
    }
    case 'wander':
      return []
  }
}

const between = (a: Place, b: Place, share: number): Place => ({
  along: a.along + (b.along - a.along) * share,
  across: a.across + (b.across - a.across) * share,
})

const apart = (a: Place, b: Place) => Math.hypot(b.along - a.along, b.across - a.across)

function straight(from: Place, to: Place): Leg {
  return { length: apart(from, to), at: (share) => between(from, to, share) }
}

/** Pieces a curve is measured in: of a ring of 10 m they are half a millimetre shorter than the bow. */
const PIECES = 256

/** A closed curve, v from 0 to 1, run evenly: its length up to every piece, looked up backwards. */
function curved(curve: (v: number) => Place): Leg {
  const upTo = [0]
  for (let i = 1; i <= PIECES; i++) upTo.push((upTo[i - 1] ?? 0) + apart(curve((i - 1) / PIECES), curve(i / PIECES)))
  const length = upTo[PIECES] ?? 0
  return { length, at: (share) => curve(whereIn(upTo, share * length) / PIECES) }
}

/** Which piece a length falls in, with the part of it that is over; `upTo` rises. */
function whereIn(upTo: readonly number[], length: number): number {
  let [low, high] = [0, upTo.length - 1]
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if ((upTo[middle] ?? 0) <= length) low = middle
    else high = middle
  }
  const [before, after] = [upTo[low] ?? 0, upTo[high] ?? 0]
  return after > before ? low + (length - before) / (after - before) : low
}
