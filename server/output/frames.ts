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
  readonly #send: (changed: Universes) => void
  #last: Universes = new Map()
  #beat: ReturnType<typeof setInterval> | undefined

  /** Sends all levels at once, then the universes that change. */
  constructor(show: Show, send: (changed: Universes) => void) {
    this.#show = show
    this.#send = send
    this.#run()
  }

  take(changes: ChangeSet): void {
    this.#show = applyChanges(this.#show, changes)
    this.#run()
  }

  /** Beats while something moves, and a frame past it, so that the last one is where everything has arrived. */
  #run(): void {
    this.#frame()
    if (this.#beat !== undefined || movesUntil(this.#show) <= Date.now()) return
    this.#beat = setInterval(() => {
      const isOver = movesUntil(this.#show) <= Date.now()
      this.#frame()
      if (isOver) this.close()
    }, FRAME)
  }

  #frame(): void {
    const levels = channelLevels(this.#show, Date.now())
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
