/** A copy of the open show, off the thread that draws. It is read only once something is asked of it. */
import { effectsOf, type Effects } from '#core/refocus/effects'
import { looseLeftBehind } from '#core/refocus/looseBehind'
import type { LooseValue } from '#core/refocus/looseValues'
import { withDelta, type Delta } from '#core/show/delta'
import { darkMovesIn, type DarkMove } from '#core/cues/darkMoves'
import type { CueListId, FixtureId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { TravelCheck, type CheckedCourse } from '#core/travel/check'
import { unwindAll, type Unwound } from '#core/travel/unwinding'
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

/** Better ways round that were found since it was told last, and how far that has come, 0 to 1. */
export interface UnwindingNews {
  readonly found: readonly Unwound[]
  readonly part: number
}

/** Milliseconds work goes on for before whatever else is asked has its turn. */
const SLICE = 30

interface Stage {
  readonly done: number
  readonly all: number
}

/**
 * Does work in slices, telling what comes of it as it goes; resolves to whether it got to the end. It
 * is left off as soon as `goesOn` says no.
 */
async function inSlices<S extends Stage, R>(
  work: Iterable<S>,
  resultOf: (stage: S) => R | null,
  tell: (results: readonly R[], part: number) => void,
  goesOn: () => boolean,
): Promise<boolean> {
  let results: R[] = []
  let since = performance.now()
  for (const stage of work) {
    const result = resultOf(stage)
    if (result !== null) results.push(result)
    if (stage.done < stage.all && performance.now() - since < SLICE) continue
    tell(results, stage.done / stage.all)
    results = []
    await new Promise((resolve) => setTimeout(resolve))
    if (!goesOn()) return false
    since = performance.now()
  }
  return true
}

/** Checks the moves of a show; what a check knows when it is left off is kept for the next time. */
export function checkMoves(
  check: TravelCheck,
  show: Show,
  tell: (news: CheckNews) => void,
  goesOn: () => boolean,
): Promise<boolean> {
  const told = (courses: readonly CheckedCourse[], part: number) => tell({ courses, part })
  return inSlices(check.check(show), ({ course }) => course, told, goesOn)
}

/** What is to be unwound: some heads of a list or all, with the ways chosen by hand or without. */
export interface UnwindingAsked {
  readonly list: CueListId
  readonly fixtures: readonly FixtureId[] | null
  readonly isFreed: boolean
}

/** Looks for better ways round. */
export function unwindIn(
  show: Show,
  { list, fixtures, isFreed }: UnwindingAsked,
  tell: (news: UnwindingNews) => void,
  goesOn: () => boolean,
): Promise<boolean> {
  const told = (found: readonly Unwound[], part: number) => tell({ found, part })
  return inSlices(unwindAll(show, list, fixtures, isFreed), ({ unwound }) => unwound, told, goesOn)
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
  #unwindings = 0

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

  /** Brings the copy to what is seen and looks for better ways round; resolves to false where it was stopped, or asked again meanwhile. */
  unwind(toSeen: Delta, asked: UnwindingAsked, tell: (news: UnwindingNews) => void): Promise<boolean> {
    const own = (this.#unwindings += 1)
    return unwindIn(this.#see(toSeen), asked, tell, () => own === this.#unwindings)
  }

  /** Ends the looking for better ways that goes on. */
  stopUnwinding(): void {
    this.#unwindings += 1
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
