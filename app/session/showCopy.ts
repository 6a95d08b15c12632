/** A copy of the open show, off the thread that draws. It is read only once something is asked of it. */
import { effectsOf, type Effects } from '#core/refocus/effects'
import { looseLeftBehind } from '#core/refocus/looseBehind'
import type { LooseValue } from '#core/refocus/looseValues'
import { withDelta, type Delta } from '#core/show/delta'
import { darkMovesIn, type DarkMove } from '#core/cues/darkMoves'
import type { CueListId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { TravelCheck, type CheckedCourse } from '#core/travel/check'
import { isSnapshotSound, readSnapshot } from './responses'

/** What a change carries along, and what it leaves beside it. */
export interface Consequences {
  readonly effects: Effects
  /** Asked for once a change is settled: nobody reads it under a drag. */
  readonly leftBehind: readonly LooseValue[]
}

/** What a check of the moves has found since it was told last, and how far it has come, 0 to 1. */
export interface CheckNews {
  readonly courses: readonly CheckedCourse[]
  readonly part: number
}

/** Milliseconds a check goes on for before whatever else is asked has its turn. */
const SLICE = 30

/**
 * Checks the moves of a show, telling what it finds as it goes; resolves to whether it got to the end.
 * It is left off as soon as `goesOn` says no, and what it knows by then is kept for the next time.
 */
export async function checkMoves(
  check: TravelCheck,
  show: Show,
  tell: (news: CheckNews) => void,
  goesOn: () => boolean,
): Promise<boolean> {
  let courses: CheckedCourse[] = []
  let since = performance.now()
  for (const { course, done, all } of check.check(show)) {
    if (course) courses.push(course)
    if (done < all && performance.now() - since < SLICE) continue
    tell({ courses, part: done / all })
    courses = []
    await new Promise((resolve) => setTimeout(resolve))
    if (!goesOn()) return false
    since = performance.now()
  }
  return true
}

/** What a change of a show carries along; `isSettled` when what it leaves behind is wanted too. */
export function consequencesOf(before: Show, after: Show, isSettled: boolean): Consequences {
  const effects = effectsOf(before, after)
  return { effects, leftBehind: isSettled ? looseLeftBehind(before, after, effects) : [] }
}

export class ShowCopy {
  #bytes: ArrayBuffer | null = null
  #show: Show | null = null
  readonly #check = new TravelCheck()
  /** Counts the checks that were asked for: a newer one ends the one before. */
  #checks = 0

  /** Takes a snapshot over, as it was sent, and tells whether every value of it is what it should be. */
  hold(bytes: ArrayBuffer): boolean {
    this.#bytes = bytes
    return isSnapshotSound(bytes)
  }

  /**
   * Brings the copy to what is seen, and works out what a change from there carries along; throws
   * RangeError where no show was handed over, and ZodError where that was none.
   */
  consequences(toSeen: Delta, change: Delta, isSettled: boolean): Consequences {
    const seen = this.#see(toSeen)
    return consequencesOf(seen, withDelta(seen, change), isSettled)
  }

  /** Brings the copy to what is seen and checks its moves; resolves to false where it was stopped, or asked again meanwhile. */
  checkMoves(toSeen: Delta, tell: (news: CheckNews) => void): Promise<boolean> {
    const own = (this.#checks += 1)
    return checkMoves(this.#check, this.#see(toSeen), tell, () => own === this.#checks)
  }

  /** Brings the copy to what is seen, and tells what of a list moves in the dark, or ought to. */
  darkMoves(toSeen: Delta, list: CueListId): readonly DarkMove[] {
    return darkMovesIn(this.#see(toSeen), list)
  }

  /** Ends the check that goes on. */
  stopCheck(): void {
    this.#checks += 1
  }

  #see(toSeen: Delta): Show {
    this.#show = withDelta(this.#show ?? this.#read(), toSeen)
    return this.#show
  }

  #read(): Show {
    if (!this.#bytes) throw new RangeError('no show was handed over')
    const { show } = readSnapshot(new TextDecoder().decode(this.#bytes))
    this.#bytes = null
    return show
  }
}
