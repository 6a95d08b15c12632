/** A copy of the open show, off the thread that draws. It is read only once something is asked of it. */
import { effectsOf, type Effects } from '#core/refocus/effects'
import { looseLeftBehind } from '#core/refocus/looseBehind'
import type { LooseValue } from '#core/refocus/looseValues'
import { withDelta, type Delta } from '#core/show/delta'
import type { DarkMove } from '#core/cues/darkMoves'
import type { CueDifference } from '#core/refocus/cueDifference'
import type { PaletteDifference } from '#core/refocus/difference'
import type { CueListId, VenueId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import type { CheckedCourse } from '#core/travel/check'
import type { Unwound } from '#core/travel/unwinding'
import { isSnapshotSound, readSnapshot } from './responses'
import { ShowWork, type Tell, type ShowJob, type UnwindingAsked } from './showWork'

/** What a change carries along, and what it leaves beside it. */
export interface Consequences {
  readonly effects: Effects
  /** Asked for once a change is settled: nobody reads it under a drag. */
  readonly leftBehind: readonly LooseValue[]
}

/** What a change of a show carries along; `isSettled` when what it leaves behind is wanted too. */
export function consequencesOf(before: Show, after: Show, isSettled: boolean): Consequences {
  const effects = effectsOf(before, after)
  return { effects, leftBehind: isSettled ? looseLeftBehind(before, after, effects) : [] }
}

export class ShowCopy {
  #bytes: ArrayBuffer | null = null
  #show: Show | null = null
  readonly #work = new ShowWork()

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

  /** Brings the copy to what is seen and checks its moves; as ShowWork has it. */
  checkMoves(toSeen: Delta, tell: Tell<CheckedCourse>): Promise<boolean> {
    return this.#work.checkMoves(this.#see(toSeen), tell)
  }

  /** Brings the copy to what is seen and looks for better ways round. */
  unwind(toSeen: Delta, asked: UnwindingAsked, tell: Tell<Unwound>): Promise<boolean> {
    return this.#work.unwind(this.#see(toSeen), asked, tell)
  }

  /** Brings the copy to what is seen, and finds what of a list moves in the dark, or ought to. */
  darkMoves(toSeen: Delta, list: CueListId, tell: Tell<DarkMove>): Promise<boolean> {
    return this.#work.darkMoves(this.#see(toSeen), list, tell)
  }

  /** Brings the copy to what is seen, and finds what two venues do to each palette. */
  difference(toSeen: Delta, here: VenueId, there: VenueId, tell: Tell<PaletteDifference>): Promise<boolean> {
    return this.#work.difference(this.#see(toSeen), here, there, tell)
  }

  /** Brings the copy to what is seen, and finds what two venues do to each cue. */
  cueDifference(toSeen: Delta, here: VenueId, there: VenueId, tell: Tell<CueDifference>): Promise<boolean> {
    return this.#work.cueDifference(this.#see(toSeen), here, there, tell)
  }

  /** Ends a job that goes on. */
  stop(job: ShowJob): void {
    this.#work.stop(job)
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
