/**
 * The output of one show: every patched channel, worked out anew 40 times a second while something
 * moves, and once whenever the show changes.
 */
import { movesUntil } from '#core/cues/arrivals'
import { channelLevels, type Universes } from '#core/output/channelLevels'
import { applyChanges, type ChangeSet } from '#core/show/changes'
import type { Show } from '#core/show/show'

/** Milliseconds from one frame to the next: 40 a second. */
const FRAME = 25

export class Frames {
  #show: Show
  readonly #now: () => number
  readonly #send: (changed: Universes) => void
  readonly #failed: (error: unknown) => void
  #last: Universes = new Map()
  #beat: ReturnType<typeof setInterval> | undefined

  /** Sends all levels at once, then the universes that change. `now` is the clock cues run by, milliseconds since 1970; `failed` hears of a show that cannot be worked out. */
  constructor(show: Show, now: () => number, send: (changed: Universes) => void, failed: (error: unknown) => void) {
    this.#show = show
    this.#now = now
    this.#send = send
    this.#failed = failed
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
      this.#failed(error)
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
    this.#frame()
    if (isOver) this.close()
  }

  #frame(): void {
    const levels = channelLevels(this.#show, this.#now())
    const changed = new Map([...levels].filter(([universe, now]) => !isSame(this.#last.get(universe), now)))
    this.#last = levels
    if (changed.size > 0) this.#send(changed)
  }

  /** Lets the beat rest. */
  close(): void {
    clearInterval(this.#beat)
    this.#beat = undefined
  }
}

function isSame(was: Uint8Array | undefined, is: Uint8Array): boolean {
  return was === is || (was !== undefined && Buffer.compare(was, is) === 0)
}
