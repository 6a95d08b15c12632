/**
 * The output of one show: every patched channel, worked out anew 40 times a second while something
 * moves, and once whenever the show changes.
 */
import { movesUntil } from '#core/cues/arrivals'
import { channelLevels, type Universes } from '#core/output/channelLevels'
import { applyChanges, type ChangeSet } from '#core/show/changes'
import type { Show } from '#core/show/show'
import { Beat } from './beat'
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

/** Levels worked out ahead, for the instant of the next beat. */
interface Ahead {
  readonly levels: Universes
  /** Whether everything has arrived by then. */
  readonly isLast: boolean
}

export class Frames {
  #show: Show
  readonly #now: () => number
  readonly #hooks: FrameHooks
  readonly #beat = new Beat(FRAME, () => this.#guarded(() => this.#onBeat()))
  readonly #meter = new BeatMeter(FRAME)
  #last: Universes = new Map()
  #ahead: Ahead | null = null

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

  /** The frame as it is now; then beats while something moves, and a frame past it, so that the last one is where everything has arrived. */
  #run(): void {
    const now = this.#now()
    this.#send(channelLevels(this.#show, now))
    if (movesUntil(this.#show) <= now) return this.close()
    if (!this.#beat.isRunning) this.#beat.start()
    this.#workAhead()
  }

  /** What is sent at a beat is worked out before: frames come evenly however long one takes. */
  #workAhead(): void {
    const at = this.#now() + this.#beat.left
    this.#ahead = { levels: channelLevels(this.#show, at), isLast: movesUntil(this.#show) <= at }
  }

  #onBeat(): void {
    this.#meter.beat(performance.now())
    const ahead = this.#ahead
    if (ahead) this.#send(ahead.levels)
    if (ahead?.isLast) this.close()
    else this.#workAhead()
  }

  #send(levels: Universes): void {
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
    this.#beat.stop()
    this.#meter.rest()
    this.#ahead = null
  }
}

function isSame(was: Uint8Array | undefined, is: Uint8Array): boolean {
  return was === is || (was !== undefined && Buffer.compare(was, is) === 0)
}
