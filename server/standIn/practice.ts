/** A stand-in rig that goes on by itself: it hears the wire of this machine and moves 40 times a second. */
import { performance } from 'node:perf_hooks'
import type { ReceivedValues } from '#core/output/received'
import { showFileHead } from '#core/exchange/showFile'
import { plainCollections } from '#core/history/collections'
import { LOOPBACK } from '#core/show/entities'
import type { FixtureId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { hiddenErrors, type HowOff } from '#core/standIn/hiddenErrors'
import { withRigOf } from '#core/standIn/rigAlone'
import type { StandInScene } from '#core/standIn/scene'
import { StandInRig } from '#core/standIn/standInRig'
import { universesHeard, waysIn } from '#core/standIn/universesHeard'
import { Ear } from '../input/ear'

const FRAME = 25
/** A longer while is gone on with in one, milliseconds: after a pause nothing leaps. */
const LONGEST = 100
const FORGET_EVERY = 500

export interface PracticeListener {
  /** The stage or what is off is otherwise: everything is asked for anew. */
  begun(): void
  /** What does otherwise than before, and which heads turn. */
  moved(values: ReceivedValues, turning: readonly FixtureId[]): void
}

export class Practice {
  readonly #listeners = new Set<PracticeListener>()
  #drawn: Show
  #how: HowOff
  #rig: StandInRig
  #ear: Ear
  #ways: ReturnType<typeof waysIn> = []
  readonly #timers: readonly NodeJS.Timeout[]
  #lastAt = performance.now()
  /** How many heads turned in the last frame. */
  #turning = 0

  /** `drawn` is a show with its rig and its stage. */
  constructor(drawn: Show, how: HowOff) {
    this.#drawn = drawn
    this.#how = how
    this.#rig = new StandInRig(drawn, hiddenErrors(drawn, how))
    this.#ear = this.#listen()
    this.#timers = [setInterval(() => this.#goOn(), FRAME), setInterval(() => this.#ear.tell(), FORGET_EVERY)]
  }

  scene(): StandInScene {
    const { id } = this.#drawn
    const head = showFileHead(this.#drawn, new Date().toISOString())
    return { show: id, how: this.#how, document: { ...head, contents: plainCollections(this.#drawn) } }
  }

  /** Tells all there is, then what comes; returns how to stop. */
  subscribe(listener: PracticeListener): () => void {
    this.#listeners.add(listener)
    listener.moved(this.#rig.values(), this.#rig.turning())
    return () => this.#listeners.delete(listener)
  }

  /** Hangs the rig anew, with other errors. */
  hangAnew(how: HowOff): void {
    this.#how = how
    this.#begin()
  }

  /** Set pieces, targets and outputs as they are now; the rig hangs as it did. */
  setStage(show: Show): void {
    this.#drawn = withRigOf(show, this.#drawn)
    this.#ear.close()
    this.#ear = this.#listen()
    this.#begin()
  }

  close(): void {
    this.#timers.forEach(clearInterval)
    this.#ear.close()
  }

  #begin(): void {
    this.#rig = this.#rig.hungAnew(this.#drawn, hiddenErrors(this.#drawn, this.#how))
    for (const listener of this.#listeners) {
      listener.begun()
      listener.moved(this.#rig.values(), this.#rig.turning())
    }
  }

  #listen(): Ear {
    this.#ways = waysIn(this.#drawn)
    const numbers = this.#ways.flatMap(({ protocol, number }) => (protocol === 'E1.31' ? [number] : []))
    return new Ear(LOOPBACK, numbers)
  }

  #goOn(): void {
    const now = performance.now()
    const seconds = Math.min(LONGEST, now - this.#lastAt) / 1000
    this.#lastAt = now
    this.#rig.hear(universesHeard(this.#ways, (protocol) => this.#ear.sources.levels(protocol)))
    const moved = this.#rig.step(seconds)
    const turning = this.#rig.turning()
    // That the last one stands is news too.
    if (moved.size > 0 || turning.length !== this.#turning)
      for (const listener of this.#listeners) listener.moved(moved, turning)
    this.#turning = turning.length
  }
}
