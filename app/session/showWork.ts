/** Long work on a show, done in slices, so that whatever else is asked meanwhile has its turn. */
import { darkMovesByFixture, type DarkMove } from '#core/cues/darkMoves'
import { cueDifferencesOf, type CueDifference } from '#core/refocus/cueDifference'
import { differencesOf, type PaletteDifference } from '#core/refocus/difference'
import type { CueListId, FixtureId, VenueId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { TravelCheck, type CheckedCourse } from '#core/travel/check'
import { unwindAll, type Unwound } from '#core/travel/unwinding'

/** What was found since it was told last, and how far the work has come, 0 to 1. */
export interface News<T> {
  readonly found: readonly T[]
  readonly part: number
}
export type Tell<T> = (news: News<T>) => void

export type ShowJob = 'check' | 'unwinding' | 'dark moves' | 'difference' | 'cue difference'

/** What is to be unwound: some heads of a list or all, with the ways chosen by hand or without. */
export interface UnwindingAsked {
  readonly list: CueListId
  readonly fixtures: readonly FixtureId[] | null
  readonly isFreed: boolean
}

/** Milliseconds work goes on for before anything else has its turn. */
const SLICE = 30

interface Stage {
  readonly done: number
  readonly all: number
}

/** Each job resolves to whether it got to the end: to false where it was stopped, or asked for again meanwhile. */
export class ShowWork {
  /** What a check knows when it is left off is kept for the next time. */
  readonly #check = new TravelCheck()
  readonly #asked: Record<ShowJob, number> = {
    check: 0,
    unwinding: 0,
    'dark moves': 0,
    difference: 0,
    'cue difference': 0,
  }

  /** Checks the moves of a show. */
  checkMoves(show: Show, tell: Tell<CheckedCourse>): Promise<boolean> {
    return this.#run('check', this.#check.check(show), ({ course }) => (course ? [course] : []), tell)
  }

  /** Looks for better ways round. */
  unwind(show: Show, { list, fixtures, isFreed }: UnwindingAsked, tell: Tell<Unwound>): Promise<boolean> {
    const work = unwindAll(show, list, fixtures, isFreed)
    return this.#run('unwinding', work, ({ unwound }) => (unwound ? [unwound] : []), tell)
  }

  /** Finds what of a list moves in the dark, or ought to. */
  darkMoves(show: Show, list: CueListId, tell: Tell<DarkMove>): Promise<boolean> {
    return this.#run('dark moves', darkMovesByFixture(show, list), ({ moves }) => moves, tell)
  }

  /** Finds what two venues do to each palette. */
  difference(show: Show, here: VenueId, there: VenueId, tell: Tell<PaletteDifference>): Promise<boolean> {
    const work = differencesOf(show, here, there)
    return this.#run('difference', work, ({ difference }) => (difference ? [difference] : []), tell)
  }

  /** Finds what two venues do to each cue. */
  cueDifference(show: Show, here: VenueId, there: VenueId, tell: Tell<CueDifference>): Promise<boolean> {
    const work = cueDifferencesOf(show, here, there)
    return this.#run('cue difference', work, ({ difference }) => (difference ? [difference] : []), tell)
  }

  /** Ends a job that goes on. */
  stop(job: ShowJob): void {
    this.#asked[job] += 1
  }

  async #run<S extends Stage, T>(
    job: ShowJob,
    work: Iterable<S>,
    foundAt: (stage: S) => readonly T[],
    tell: Tell<T>,
  ): Promise<boolean> {
    const own = (this.#asked[job] += 1)
    let found: T[] = []
    let since = performance.now()
    for (const stage of work) {
      found.push(...foundAt(stage))
      if (stage.done < stage.all && performance.now() - since < SLICE) continue
      tell({ found, part: stage.done / stage.all })
      found = []
      await new Promise((resolve) => setTimeout(resolve))
      if (own !== this.#asked[job]) return false
      since = performance.now()
    }
    return true
  }
}
