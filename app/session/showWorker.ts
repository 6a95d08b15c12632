/** The worker beside an open show: it checks what was sent, and works out consequences without keeping the page waiting. */
import { proxy, releaseProxy, transfer, wrap, type Remote } from 'comlink'
import { darkMovesIn, type DarkMove } from '#core/cues/darkMoves'
import { deltaBetween } from '#core/show/delta'
import type { CueListId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { framePainted } from './afterNextFrame'
import { isSnapshotSound } from './responses'
import { TravelCheck } from '#core/travel/check'
import {
  checkMoves,
  consequencesOf,
  unwindIn,
  type CheckNews,
  type Consequences,
  type ShowCopy,
  type UnwindingAsked,
  type UnwindingNews,
} from './showCopy'

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

  /** Checks the moves of a show, telling what it finds as it goes; resolves to false where it was stopped, or asked again meanwhile. */
  async checkMoves(show: Show, tell: (news: CheckNews) => void): Promise<boolean> {
    await Promise.race([this.isSound, this.#ended])
    return Promise.race([this.#copy.checkMoves(this.#toSeen(show), proxy(tell)), this.#ended])
  }

  /** Looks for better ways round, telling what it finds as it goes; resolves to false where it was stopped, or asked again meanwhile. */
  async unwind(show: Show, asked: UnwindingAsked, tell: (news: UnwindingNews) => void): Promise<boolean> {
    await Promise.race([this.isSound, this.#ended])
    return Promise.race([this.#copy.unwind(this.#toSeen(show), asked, proxy(tell)), this.#ended])
  }

  stopUnwinding(): void {
    void this.#copy.stopUnwinding()
  }

  /** What of a list moves in the dark, or ought to. */
  async darkMoves(show: Show, list: CueListId): Promise<readonly DarkMove[]> {
    await Promise.race([this.isSound, this.#ended])
    return Promise.race([this.#copy.darkMoves(this.#toSeen(show), list), this.#ended])
  }

  stopCheck(): void {
    void this.#copy.stopCheck()
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
export type Beside = Pick<ShowWorker, 'isSound' | 'close' | 'checkMoves' | 'stopCheck' | 'unwind' | 'stopUnwinding'> & {
  consequences(before: Show, after: Show, isSettled: boolean): Promise<Consequences> | Consequences
  darkMoves(show: Show, list: CueListId): Promise<readonly DarkMove[]> | readonly DarkMove[]
}

/** The worker beside a show; where there are no workers, as in tests outside a browser, the same at once. */
export function besideShow(bytes: ArrayBuffer, show: Show): Beside {
  return typeof Worker === 'undefined' ? atOnce(bytes) : new ShowWorker(bytes, show)
}

function atOnce(bytes: ArrayBuffer): Beside {
  const isSound = framePainted().then(() => isSnapshotSound(bytes))
  const check = new TravelCheck()
  let checks = 0
  const checkThese = (seen: Show, tell: (news: CheckNews) => void) => {
    const own = (checks += 1)
    return checkMoves(check, seen, tell, () => own === checks)
  }
  const stopCheck = () => void (checks += 1)
  let unwindings = 0
  const unwind: Beside['unwind'] = (seen, asked, tell) => {
    const own = (unwindings += 1)
    return unwindIn(seen, asked, tell, () => own === unwindings)
  }
  const stopUnwinding = () => void (unwindings += 1)
  const close = () => {
    stopCheck()
    stopUnwinding()
  }
  const atOnce = { consequences: consequencesOf, darkMoves: darkMovesIn }
  return { isSound, ...atOnce, checkMoves: checkThese, stopCheck, unwind, stopUnwinding, close }
}
