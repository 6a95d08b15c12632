/**
 * The output of one show: every patched channel, worked out anew 40 times a second while something
 * moves, and once whenever the show changes.
 */
import { movesUntil } from '#core/cues/arrivals'
import { channelLevels, followedLevels, type Universes } from '#core/output/channelLevels'
import { applyChanges, type ChangeSet } from '#core/show/changes'
import type { Show } from '#core/show/show'
import { Followers } from '#core/tracking/followers'
import { Following, type TrackedPlaces } from '#core/tracking/following'
import { followedTargets } from '#core/tracking/tracked'
import type { TrackerPlace } from '#core/tracking/wire/psn'
import { Beat } from './beat'
import { BeatMeter } from './beatMeter'

/** Milliseconds from one frame to the next: 40 a second. */
const FRAME = 25

/** Who hears of frames. */
export interface FrameHooks {
  /** All levels at first, then the universes that change. */
  changed(universes: Universes): void
  /** Where what follows trackers is; nothing where nothing does any more. */
  places?(places: TrackedPlaces): void
  /** Every frame that is worked out, whether anything is another or not. */
  frame?(show: Show, levels: Universes): void
  /** The show cannot be worked out. */
  failed(error: unknown): void
}

/** Levels worked out ahead, for the instant of the next beat. */
interface Ahead {
  readonly levels: Universes
  readonly places: TrackedPlaces
  /** Whether everything has arrived by then. */
  readonly isLast: boolean
}

const NOWHERE: TrackedPlaces = new Map()

export class Frames {
  #show: Show
  readonly #now: () => number
  readonly #hooks: FrameHooks
  readonly #beat = new Beat(FRAME, () => this.#guarded(() => this.#onBeat()))
  readonly #meter = new BeatMeter(FRAME)
  #last: Universes = new Map()
  #ahead: Ahead | null = null
  readonly #following = new Following()
  readonly #followers = new Followers()
  #places: TrackedPlaces = NOWHERE

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

  /** Takes in where trackers are just now. */
  hear(trackers: readonly TrackerPlace[]): void {
    this.#following.hear(trackers, this.#now())
    if (!this.#beat.isRunning && followedTargets(this.#show).length > 0) this.#guarded(() => this.#run())
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
    const now = this.#frameAt(this.#now())
    this.#send(now)
    if (now.isLast) return this.close()
    if (!this.#beat.isRunning) this.#beat.start()
    this.#workAhead()
  }

  /** What is sent at a beat is worked out before: frames come evenly however long one takes. */
  #workAhead(): void {
    this.#ahead = this.#frameAt(this.#now() + this.#beat.left)
  }

  #frameAt(at: number): Ahead {
    const show = this.#show
    const isLast = movesUntil(show) <= at
    const places = this.#following.step(show, at)
    if (places.size === 0) return { levels: channelLevels(show, at), places, isLast }
    const levels = followedLevels(show, at, places, this.#followers)
    return { levels, places, isLast: isLast && this.#following.isAtRest }
  }

  #onBeat(): void {
    this.#meter.beat(performance.now())
    const ahead = this.#ahead
    if (ahead) this.#send(ahead)
    if (ahead?.isLast) this.close()
    else this.#workAhead()
  }

  #send({ levels, places }: Ahead): void {
    if (places.size > 0 || this.#places.size > 0) this.#hooks.places?.(places)
    this.#places = places
    const changed = new Map([...levels].filter(([universe, now]) => !isSame(this.#last.get(universe), now)))
    this.#last = levels
    this.#hooks.frame?.(this.#show, levels)
    if (changed.size > 0) this.#hooks.changed(changed)
  }

  /** The frame as it is now, once more for whoever has come to hear of it. */
  again(): void {
    this.#hooks.frame?.(this.#show, this.#last)
    if (this.#places.size > 0) this.#hooks.places?.(this.#places)
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
