/**
 * The output of one show: every patched channel, worked out anew 40 times a second while something
 * moves, and once whenever the show changes.
 */
import { movesUntil } from '#core/cues/arrivals'
import { channelLevels, type Universes } from '#core/output/channelLevels'
import { applyChanges, type ChangeSet } from '#core/show/changes'
import type { Show } from '#core/show/show'
import { BeatMeter } from './beatMeter'

/** Milliseconds from one frame to the next: 40 a second. */
const FRAME = 25

/** Who hears of frames. */
export interface FrameHooks {
  /** All levels at first, then the universes that change. */
  changed(universes: Universes): void
  /** Every frame that is worked out, whether anything is another or not. */
  frame?(show: Show, levels: Universes): void
  /** The show cannot be worked out. */
  failed(error: unknown): void
}

export class Frames {
  #show: Show
  readonly #now: () => number
  readonly #hooks: FrameHooks
  readonly #meter = new BeatMeter(FRAME)
  #last: Universes = new Map()
  #beat: ReturnType<typeof setInterval> | undefined

  /** `now` is the clock cues run by, milliseconds since 1970. */
  constructor(show: Show, now: () => number, hooks: FrameHooks) {
    this.#show = show
    this.#now = now
    this.#hooks = hooks
    this.#guarded(() => this.#run())
  }

  apply(changes: ChangeSet): void {
    this.#guarded(() => {
      this.#show = applyChanges(this.#show, changes)
      this.#run()
    })
  }

  /** A fault of one show is told and ends its beat; the next change tries again. */
  #guarded(work: () => void): void {
    try {
      work()
    } catch (error) {
      this.close()
      this.#hooks.failed(error)
    }
  }

  /** Beats while something moves, and a frame past it, so that the last one is where everything has arrived. */
  #run(): void {
    this.#frame()
    if (this.#beat !== undefined || movesUntil(this.#show) <= this.#now()) return
    this.#beat = setInterval(() => this.#guarded(() => this.#frameOfBeat()), FRAME)
  }

  #frameOfBeat(): void {
    const isOver = movesUntil(this.#show) <= this.#now()
    this.#meter.beat(performance.now())
    this.#frame()
    if (isOver) this.close()
  }

  #frame(): void {
    const levels = channelLevels(this.#show, this.#now())
    const changed = new Map([...levels].filter(([universe, now]) => !isSame(this.#last.get(universe), now)))
    this.#last = levels
    this.#hooks.frame?.(this.#show, levels)
    if (changed.size > 0) this.#hooks.changed(changed)
  }

  /** The frame as it is now, once more for whoever has come to hear of it. */
  again(): void {
    this.#hooks.frame?.(this.#show, this.#last)
  }

  /** How evenly frames came since it was asked last. */
  tell(): ReturnType<BeatMeter['tell']> {
    return this.#meter.tell()
  }

  /** Lets the beat rest. */
  close(): void {
    this.#meter.rest()
    clearInterval(this.#beat)
    this.#beat = undefined
  }
}

function isSame(was: Uint8Array | undefined, is: Uint8Array): boolean {
  return was === is || (was !== undefined && Buffer.compare(was, is) === 0)
}
