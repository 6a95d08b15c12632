/** The output of shows while someone listens or it is sent, worked out in a thread of its own. */
import { Worker } from 'node:worker_threads'
import type { Universes } from '#core/output/channelLevels'
import type { SendingStatus } from '#core/output/sendingStatus'
import type { ShowId } from '#core/show/ids'
import type { TrackedPlaces } from '#core/tracking/following'
import type { DatabaseClock } from '../database/databaseClock'
import { log } from '../http/log'
import type { LiveShow } from '../shows/liveShow'
import type { Inputs } from '../input/inputs'
import { trackWhileWanted } from '../input/trackWhileWanted'
import type { FromThread, ToThread } from './threadMessages'

/** Who hears of the output of a show. */
export interface OutputListener {
  /** All levels as soon as they are known, then the universes that change. */
  levels(changed: Universes): void
  /** How sending goes, each second. */
  status?(status: SendingStatus): void
  /** Where what follows trackers is, frame by frame while it moves. */
  places?(places: TrackedPlaces): void
}

/** A show that is listened to, or sent. */
interface Heard {
  readonly live: LiveShow
  readonly listeners: Set<OutputListener>
  readonly last: Map<number, Uint8Array>
  readonly unsubscribe: () => void
  /** Ends listening to trackers. */
  readonly untrack: () => void
  status: SendingStatus | null
  places: TrackedPlaces
}

/** How long to wait before a thread that failed is begun again, milliseconds. */
const TRY_AGAIN = 1000
/** What a thread that is to end may take to say goodbye to receivers, milliseconds. */
const GOODBYE = 500
/** Room for what lives a frame or two, megabytes: with less, what is short-lived is cleared away with the rest, and frames wait. */
export const YOUNG_MB = 64
const THREAD_STOPPED = 'What goes out has stopped and is being started again.'

const QUIET = { outputs: [], jitterMilliseconds: null, missed: 0, load: 0, trouble: null }

export class Outputs {
  readonly #module: URL
  readonly #clock: DatabaseClock
  readonly #installation: string
  readonly #trackers: Pick<Inputs, 'track'>
  readonly #heard = new Map<ShowId, Heard>()
  /** Who sends a show, as far as is known here; nobody where it is left out. */
  readonly #senders = new Map<ShowId, SendingStatus['by']>()
  #thread: Worker | null = null
  #isClosed = false

  /** `module` is the thread's script, started when it is needed for the first time; receivers know what is sent by `installation`. */
  constructor(module: URL, clock: DatabaseClock, installation: string, trackers: Pick<Inputs, 'track'>) {
    this.#trackers = trackers
    this.#module = module
    this.#clock = clock
    this.#installation = installation
  }

  /** Tells what goes out and how that goes from now on; returns how to stop. */
  subscribe(live: LiveShow, listener: OutputListener): () => void {
    const heard = this.#heardOf(live)
    heard.listeners.add(listener)
    if (heard.last.size > 0) listener.levels(heard.last)
    listener.status?.(heard.status ?? { ...QUIET, by: this.#senderOf(heard) })
    if (heard.places.size > 0) listener.places?.(heard.places)
    return () => {
      heard.listeners.delete(listener)
      this.#closeUnused(heard)
    }
  }

  /** Sends a show from here, or leaves that to another server, or to nobody while no output is on. */
  setSender(live: LiveShow, by: SendingStatus['by']): void {
    const show = live.show.id
    if ((this.#senders.get(show) ?? 'nobody') === by) return
    this.#senders.set(show, by)
    const heard = by === 'here' ? this.#heardOf(live) : this.#heard.get(show)
    if (!heard) return
    this.#tellSender(heard)
    this.#setStatus(heard, { ...QUIET, by })
    this.#closeUnused(heard)
  }

  #senderOf({ live }: Heard): SendingStatus['by'] {
    return this.#senders.get(live.show.id) ?? 'nobody'
  }

  #tellSender(heard: Heard): void {
    const [show, by] = [heard.live.show.id, this.#senderOf(heard)]
    if (by === 'here') this.#tell({ kind: 'send', show, installation: this.#installation })
    else this.#tell({ kind: 'hold', show, isSentOn: by === 'elsewhere' })
  }

  #heardOf(live: LiveShow): Heard {
    const show = live.show.id
    const known = this.#heard.get(show)
    if (known) return known
    const unsubscribe = live.subscribe({
      entry: ({ changes }) => this.#tell({ kind: 'changes', show, changes }),
      reloaded: () => this.#tellWhole(live),
    })
    const untrack = trackWhileWanted(live, this.#trackers, {
      trackers: (trackers) => this.#tell({ kind: 'trackers', show, trackers }),
    })
    const heard: Heard = {
      ...{ live, listeners: new Set(), last: new Map(), unsubscribe, untrack, status: null, places: new Map() },
    }
    this.#heard.set(show, heard)
    this.#tellWhole(live)
    return heard
  }

  #tellWhole({ show }: LiveShow): void {
    this.#tell({ kind: 'open', show: show.id, all: show.all, ahead: this.#clock.ahead })
  }

  #closeUnused(heard: Heard): void {
    const { live, listeners, unsubscribe, untrack } = heard
    if (listeners.size > 0 || this.#senderOf(heard) === 'here') return
    const show = live.show.id
    unsubscribe()
    untrack()
    this.#heard.delete(show)
    this.#tell({ kind: 'close', show })
  }

  #tell(message: ToThread): void {
    this.#thread ??= this.#begin()
    this.#thread.postMessage(message)
  }

  #begin(): Worker {
    const thread = new Worker(this.#module, { resourceLimits: { maxYoungGenerationSizeMb: YOUNG_MB } })
    // Output alone does not keep the server running.
    thread.unref()
    thread.on('message', (message: FromThread) => this.#hear(message))
    thread.on('error', (error) => log.error(error, 'the output thread failed'))
    thread.on('exit', () => {
      if (this.#thread === thread) this.#thread = null
      if (this.#isClosed) return
      for (const heard of this.#heard.values())
        if (this.#senderOf(heard) === 'here') this.#setStatus(heard, { ...QUIET, by: 'here', trouble: THREAD_STOPPED })
      setTimeout(() => this.#beginAgain(), TRY_AGAIN).unref()
    })
    return thread
  }

  /** Hands a new thread all that is listened to or sent. */
  #beginAgain(): void {
    for (const heard of this.#heard.values()) {
      this.#tellWhole(heard.live)
      if (this.#senderOf(heard) === 'here') this.#tellSender(heard)
    }
  }

  #hear(message: FromThread): void {
    if ('ended' in message) return
    if ('fault' in message) return log.error(new Error(message.fault), 'the output of a show cannot be worked out')
    const heard = this.#heard.get(message.show)
    if (!heard) return
    if ('status' in message)
      return this.#setStatus(heard, { ...message.status, by: this.#senderOf(heard), trouble: null })
    if ('places' in message) {
      heard.places = message.places
      for (const listener of heard.listeners) listener.places?.(message.places)
      return
    }
    const { changed } = message
    for (const [universe, levels] of changed) heard.last.set(universe, levels)
    for (const listener of heard.listeners) listener.levels(changed)
  }

  #setStatus(heard: Heard, status: SendingStatus): void {
    heard.status = status
    for (const listener of heard.listeners) listener.status?.(status)
  }

  /** Ends the thread when it has said goodbye to receivers. */
  async close(): Promise<void> {
    this.#isClosed = true
    for (const { unsubscribe, untrack } of this.#heard.values()) {
      unsubscribe()
      untrack()
    }
    this.#heard.clear()
    const thread = this.#thread
    if (!thread) return
    await new Promise<void>((resolve) => {
      const patience = setTimeout(resolve, GOODBYE)
      const done = () => {
        clearTimeout(patience)
        resolve()
      }
      thread.once('exit', done)
      thread.on('message', (message: FromThread) => 'ended' in message && done())
      thread.postMessage({ kind: 'end' } satisfies ToThread)
    })
    await thread.terminate()
  }
}
