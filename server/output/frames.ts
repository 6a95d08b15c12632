/**
 * The output of one show: every patched channel, worked out anew 40 times a second while something
 * moves, and once whenever the show changes. It runs on its own beat, apart from requests, and only
 * while someone listens.
 */
import { channelLevels, type Universes } from '#core/output/channelLevels'
import { movesUntil } from '#core/cues/arrivals'
import type { LiveShow } from '../shows/liveShow'

/** Milliseconds from one frame to the next: 40 a second. */
const FRAME = 25

type Listener = (changed: Universes) => void

export class Frames {
  readonly #live: LiveShow
  readonly #listeners = new Set<Listener>()
  #last: Universes = new Map()
  #beat: ReturnType<typeof setInterval> | undefined
  #unsubscribe: () => void = () => undefined

  constructor(live: LiveShow) {
    this.#live = live
  }

  /** Calls back with all levels at once, then with the universes that change; returns how to stop. */
  subscribe(listener: Listener): () => void {
    if (this.#listeners.size === 0) this.#begin()
    this.#listeners.add(listener)
    listener(this.#last)
    return () => {
      this.#listeners.delete(listener)
      if (this.#listeners.size === 0) this.close()
    }
  }

  #begin(): void {
    this.#unsubscribe = this.#live.subscribe(() => this.#run())
    this.#last = channelLevels(this.#live.show, Date.now())
    this.#run()
  }

  /** Beats while something moves, and a frame past it, so that the last one is where everything has arrived. */
  #run(): void {
    this.#frame()
    if (this.#beat !== undefined || movesUntil(this.#live.show) <= Date.now()) return
    this.#beat = setInterval(() => {
      const isOver = movesUntil(this.#live.show) <= Date.now()
      this.#frame()
      if (isOver) this.#rest()
    }, FRAME)
  }

  #rest(): void {
    clearInterval(this.#beat)
    this.#beat = undefined
  }

  #frame(): void {
    const levels = channelLevels(this.#live.show, Date.now())
    const changed = new Map([...levels].filter(([universe, now]) => !isSame(this.#last.get(universe), now)))
    this.#last = levels
    if (changed.size > 0) for (const listener of this.#listeners) listener(changed)
  }

  close(): void {
    this.#rest()
    this.#unsubscribe()
  }
}

function isSame(was: Uint8Array | undefined, is: Uint8Array): boolean {
  return was === is || (was !== undefined && Buffer.compare(was, is) === 0)
}
