/**
 * Where targets that follow trackers are: evened out, no faster and no further than they may, and where
 * they fall back to when a tracker is lost. It is stepped from instant to instant.
 */
import { add, distance, pointBetween, scale, subtract, type Vec3 } from '../geometry/vector'
import type { TrackedTarget } from '../show/entities'
import type { TargetId } from '../show/ids'
import type { Show } from '../show/show'
import { targetsOf } from '../show/targets'
import { followedTargets, ontoStage, trackingOf } from './tracked'
import type { TrackerPlace } from './wire/psn'

export const FOLLOWING_STATES = ['follows', 'at its limit', 'lost', 'not heard'] as const
export type FollowingState = (typeof FOLLOWING_STATES)[number]

/** Where a target that follows is, in the stage frame, metres. */
export interface TrackedPlace {
  readonly place: Vec3
  readonly state: FollowingState
}
export type TrackedPlaces = ReadonlyMap<TargetId, TrackedPlace>

interface Heard {
  readonly place: Vec3
  /** Milliseconds. */
  readonly at: number
}

/** Two steps further apart than this are of two goes, seconds: nothing leaps by what it did not walk. */
const LONGEST_STEP = 0.25
/** Nearer than this to where it is to be, it is there; metres. */
const THERE = 0.0005

export class Following {
  readonly #heard = new Map<number, Heard>()
  #places: TrackedPlaces = new Map()
  #steppedAt = -Infinity
  #isAtRest = true

  /** Takes in where trackers are, in their own frame, at an instant in milliseconds. */
  hear(trackers: readonly TrackerPlace[], at: number): void {
    for (const { id, place } of trackers) this.#heard.set(id, { place, at })
    this.#isAtRest = false
  }

  /** Whether nothing will be elsewhere at the next step, until something is heard or the show changes. */
  get isAtRest(): boolean {
    return this.#isAtRest
  }

  /** Where targets are at an instant, milliseconds by the clock things are heard by. */
  step(show: Show, now: number): TrackedPlaces {
    const seconds = Math.min(LONGEST_STEP, Math.max(0, (now - this.#steppedAt) / 1000))
    this.#steppedAt = now
    const frame = trackingOf(show)
    const places = new Map<TargetId, TrackedPlace>()
    let isAtRest = true
    for (const { target, how } of followedTargets(show)) {
      const own = targetsOf(show).get(target)?.position
      if (!own) continue
      const heard = this.#heard.get(how.tracker)
      const seen = heard && { place: ontoStage(frame, heard.place), isFresh: now - heard.at <= how.lostAfter * 1000 }
      const before = this.#places.get(target)?.place ?? null
      const { goal, state } = goalOf(how, own, seen, before)
      const place = stepped(how, before, goal, seconds)
      places.set(target, { place, state })
      if (distance(place, goal) > 0 || seen?.isFresh) isAtRest = false
    }
    this.#places = places
    this.#isAtRest = isAtRest
    return places
  }
}

interface Seen {
  readonly place: Vec3
  readonly isFresh: boolean
}

/** Where a target is to be, and why. `own` is its own place, `before` where it was. */
function goalOf(how: TrackedTarget, own: Vec3, seen: Seen | undefined, before: Vec3 | null) {
  if (!seen) return { goal: own, state: 'not heard' as const }
  if (!seen.isFresh) return { goal: how.whenLost === 'stays' ? (before ?? own) : own, state: 'lost' as const }
  const place = add(seen.place, { x: 0, y: 0, z: how.above })
  const off = distance(own, place)
  if (off <= how.within) return { goal: place, state: 'follows' as const }
  return { goal: pointBetween(own, place, how.within / off), state: 'at its limit' as const }
}

/**
 * The next place: a part 1 − e^(−t/τ) of the way, as a filter of first order with the time constant τ
 * does, but no further than may be gone in that time.
 */
function stepped(how: TrackedTarget, before: Vec3 | null, goal: Vec3, seconds: number): Vec3 {
  if (before === null) return goal
  const way = subtract(goal, before)
  const left = distance(goal, before)
  if (left <= THERE) return goal
  const wanted = how.smoothing > 0 ? left * (1 - Math.exp(-seconds / how.smoothing)) : left
  return add(before, scale(way, Math.min(wanted, how.fastest * seconds) / left))
}
