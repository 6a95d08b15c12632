/** The output of shows while someone listens, worked out in a thread of its own. */
import { Worker } from 'node:worker_threads'
import type { Universes } from '#core/output/channelLevels'
import type { ShowId } from '#core/show/ids'
import type { DatabaseClock } from '../database/databaseClock'
import { log } from '../http/log'
import type { LiveShow } from '../shows/liveShow'
import type { FromThread, ToThread } from './threadMessages'

type Listener = (changed: Universes) => void

/** A show that is listened to. */
interface Heard {
  readonly live: LiveShow
  readonly listeners: Set<Listener>
  readonly last: Map<number, Uint8Array>
  readonly unsubscribe: () => void
}

/** How long to wait before a thread that failed is begun again, milliseconds. */
const TRY_AGAIN = 1000

export class Outputs {
  readonly #module: URL
  readonly #clock: DatabaseClock
  readonly #heard = new Map<ShowId, Heard>()
  #thread: Worker | null = null
  #isClosed = false

  /** `module` is the thread's script. It is started when someone listens for the first time. */
  constructor(module: URL, clock: DatabaseClock) {
    this.#module = module
    this.#clock = clock
  }

  /** Calls back with all levels as soon as they are known, then with the universes that change; returns how to stop. */
  subscribe(live: LiveShow, listener: Listener): () => void {
    const heard = this.#heard.get(live.show.id) ?? this.#open(live)
    heard.listeners.add(listener)
    if (heard.last.size > 0) listener(heard.last)
    return () => {
      heard.listeners.delete(listener)
      if (heard.listeners.size === 0) this.#close(live.show.id)
    }
  }

  #open(live: LiveShow): Heard {
    const show = live.show.id
    const unsubscribe = live.subscribe({
      entry: ({ changes }) => this.#tell({ kind: 'changes', show, changes }),
      reloaded: () => this.#tellWhole(live),
    })
    const heard: Heard = { live, listeners: new Set(), last: new Map(), unsubscribe }
    this.#heard.set(show, heard)
    this.#tellWhole(live)
    return heard
  }

  #tellWhole({ show }: LiveShow): void {
    this.#tell({ kind: 'open', show: show.id, all: show.all, ahead: this.#clock.ahead })
  }

  #close(show: ShowId): void {
    this.#heard.get(show)?.unsubscribe()
    this.#heard.delete(show)
    this.#tell({ kind: 'close', show })
  }

  #tell(message: ToThread): void {
    this.#thread ??= this.#begin()
    this.#thread.postMessage(message)
  }

  #begin(): Worker {
    const thread = new Worker(this.#module)
    // Output alone does not keep the server running.
    thread.unref()
    thread.on('message', (message: FromThread) => this.#hear(message))
    thread.on('error', (error) => log.error(error, 'the output thread failed'))
    thread.on('exit', () => {
      if (this.#thread === thread) this.#thread = null
      if (!this.#isClosed) setTimeout(() => this.#beginAgain(), TRY_AGAIN).unref()
    })
    return thread
  }

  /** Hands a new thread all that is listened to. */
  #beginAgain(): void {
    for (const { live } of this.#heard.values()) this.#tellWhole(live)
  }

  #hear(message: FromThread): void {
    if ('fault' in message) return log.error(new Error(message.fault), 'the output of a show cannot be worked out')
    const heard = this.#heard.get(message.show)
    if (!heard) return
    const { changed } = message
    for (const [universe, levels] of changed) heard.last.set(universe, levels)
    for (const listener of heard.listeners) listener(changed)
  }

  async close(): Promise<void> {
    this.#isClosed = true
    for (const { unsubscribe } of this.#heard.values()) unsubscribe()
    this.#heard.clear()
    await this.#thread?.terminate()
  }
}
