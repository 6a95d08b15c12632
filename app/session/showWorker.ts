/** The worker beside an open show: it checks what was sent, and works out consequences without keeping the page waiting. */
import { proxy, releaseProxy, transfer, wrap, type Remote } from 'comlink'
import type { DarkMove } from '#core/cues/darkMoves'
import { deltaBetween } from '#core/show/delta'
import type { CueDifference } from '#core/refocus/cueDifference'
import type { PaletteDifference } from '#core/refocus/difference'
import type { CueListId, VenueId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { framePainted } from './afterNextFrame'
import { isSnapshotSound } from './responses'
import type { CheckedCourse } from '#core/travel/check'
import type { Unwound } from '#core/travel/unwinding'
import { consequencesOf, type Consequences, type ShowCopy } from './showCopy'
import { ShowWork, type Tell, type ShowJob, type UnwindingAsked } from './showWork'

export class ShowWorker {
  readonly #worker: Worker
  readonly #copy: Remote<ShowCopy>
  /** Whether every value of what was sent is what it should be: told when all are checked. */
  readonly isSound: Promise<boolean>
  /** The show as the copy has it. */
  #held: Show
  /** Ends what is waited for when the worker does: it would never answer. */
  #end: () => void = () => undefined
  readonly #ended: Promise<never>

  /** `show` is what was read from `bytes`, which go over to the worker. */
  constructor(bytes: ArrayBuffer, show: Show) {
    this.#held = show
    this.#worker = new Worker(new URL('../workers/show.worker.ts', import.meta.url), { type: 'module' })
    this.#copy = wrap<ShowCopy>(this.#worker)
    this.#ended = new Promise(
      (_, reject) => (this.#end = () => reject(new Error('the worker beside the show has ended'))),
    )
    this.#ended.catch(() => undefined)
    this.#worker.addEventListener('error', () => this.#end())
    // Checking keeps a processor busy: what was read is shown first.
    this.isSound = framePainted().then(() => this.#copy.hold(transfer(bytes, [bytes])))
  }

  /** What a change from `before` to `after` carries along. */
  async consequences(before: Show, after: Show, isSettled: boolean): Promise<Consequences> {
    await Promise.race([this.isSound, this.#ended])
    const toSeen = this.#toSeen(before)
    return Promise.race([this.#copy.consequences(toSeen, deltaBetween(before, after), isSettled), this.#ended])
  }

  /** Checks the moves of a show, telling what it finds as it goes; as ShowWork has it. */
  async checkMoves(show: Show, tell: Tell<CheckedCourse>): Promise<boolean> {
    await Promise.race([this.isSound, this.#ended])
    return Promise.race([this.#copy.checkMoves(this.#toSeen(show), proxy(tell)), this.#ended])
  }

  /** Looks for better ways round, telling what it finds as it goes. */
  async unwind(show: Show, asked: UnwindingAsked, tell: Tell<Unwound>): Promise<boolean> {
    await Promise.race([this.isSound, this.#ended])
    return Promise.race([this.#copy.unwind(this.#toSeen(show), asked, proxy(tell)), this.#ended])
  }

  /** Finds what of a list moves in the dark, or ought to, telling it as it goes. */
  async darkMoves(show: Show, list: CueListId, tell: Tell<DarkMove>): Promise<boolean> {
    await Promise.race([this.isSound, this.#ended])
    return Promise.race([this.#copy.darkMoves(this.#toSeen(show), list, proxy(tell)), this.#ended])
  }

  /** Finds what two venues do to each palette, telling it as it goes. */
  async difference(show: Show, here: VenueId, there: VenueId, tell: Tell<PaletteDifference>): Promise<boolean> {
    await Promise.race([this.isSound, this.#ended])
    return Promise.race([this.#copy.difference(this.#toSeen(show), here, there, proxy(tell)), this.#ended])
  }

  /** Finds what two venues do to each cue, telling it as it goes. */
  async cueDifference(show: Show, here: VenueId, there: VenueId, tell: Tell<CueDifference>): Promise<boolean> {
    await Promise.race([this.isSound, this.#ended])
    return Promise.race([this.#copy.cueDifference(this.#toSeen(show), here, there, proxy(tell)), this.#ended])
  }

  /** Ends a job that goes on. */
  stop(job: ShowJob): void {
    void this.#copy.stop(job)
  }

  #toSeen(show: Show) {
    const delta = deltaBetween(this.#held, show)
    this.#held = show
    return delta
  }

  close(): void {
    this.#end()
    this.#copy[releaseProxy]()
    this.#worker.terminate()
  }
}

/** What stands beside an open show. */
export type Beside = Pick<
  ShowWorker,
  'isSound' | 'close' | 'checkMoves' | 'unwind' | 'darkMoves' | 'difference' | 'cueDifference' | 'stop'
> & {
  consequences(before: Show, after: Show, isSettled: boolean): Promise<Consequences> | Consequences
}

/** The worker beside a show; where there are no workers, as in tests outside a browser, the same at once. */
export function besideShow(bytes: ArrayBuffer, show: Show): Beside {
  return typeof Worker === 'undefined' ? atOnce(bytes) : new ShowWorker(bytes, show)
}

function atOnce(bytes: ArrayBuffer): Beside {
  const work = new ShowWork()
  const jobs: readonly ShowJob[] = ['check', 'unwinding', 'dark moves', 'difference', 'cue difference']
  return {
    isSound: framePainted().then(() => isSnapshotSound(bytes)),
    consequences: consequencesOf,
    checkMoves: (show, tell) => work.checkMoves(show, tell),
    unwind: (show, asked, tell) => work.unwind(show, asked, tell),
    darkMoves: (show, list, tell) => work.darkMoves(show, list, tell),
    difference: (show, here, there, tell) => work.difference(show, here, there, tell),
    cueDifference: (show, here, there, tell) => work.cueDifference(show, here, there, tell),
    stop: (job) => work.stop(job),
    close: () => jobs.forEach((job) => work.stop(job)),
  }
}
