/** What comes in, told to whoever looks at it; a thread listens as long as anybody does. */
import { Worker } from 'node:worker_threads'
import type { Protocol } from '#core/show/entities'
import { log } from '../http/log'
import type { TrackerPlace } from '#core/tracking/wire/psn'
import type { FromInputThread, ToInputThread, TrackersTold } from './threadMessages'

export type Heard = Extract<FromInputThread, { readonly heard: unknown }>

export interface InputListener {
  /** Universes that are otherwise than before, by protocol and number; all of them at first. */
  levels(changed: readonly (readonly [Protocol, number, Uint8Array])[]): void
  /** What was heard in the last second. */
  heard(told: Heard): void
}

export interface TrackerListener {
  /** Where trackers are, in their own frame, as they say it. */
  trackers(places: readonly TrackerPlace[]): void
  /** What they are called, and why they cannot be heard, each second. */
  told?(told: TrackersTold): void
}

interface Interface {
  readonly listeners: Map<InputListener, readonly number[]>
  readonly last: Map<string, readonly [Protocol, number, Uint8Array]>
}

const TRY_AGAIN = 1000

export class Inputs {
  readonly #interfaces = new Map<string, Interface>()
  readonly #trackerListeners = new Map<string, Set<TrackerListener>>()
  #thread: Worker | null = null
  #isClosed = false

  /** `module` is the thread's script. */
  constructor(private readonly module: URL) {}

  /** Listens on an interface, by its address, to universes by multicast and to whatever else comes; returns how to stop. */
  subscribe(from: string, universes: readonly number[], listener: InputListener): () => void {
    const known = this.#interfaces.get(from) ?? { listeners: new Map(), last: new Map() }
    this.#interfaces.set(from, known)
    known.listeners.set(listener, universes)
    listener.levels([...known.last.values()])
    this.#listen(from)
    return () => {
      known.listeners.delete(listener)
      if (known.listeners.size > 0) return
      this.#interfaces.delete(from)
      this.#thread?.postMessage({ kind: 'leave', from } satisfies ToInputThread)
    }
  }

  /** Listens to trackers on an interface, by its address; returns how to stop. */
  track(from: string, listener: TrackerListener): () => void {
    const listeners = this.#trackerListeners.get(from) ?? new Set()
    this.#trackerListeners.set(from, listeners)
    listeners.add(listener)
    this.#tell({ kind: 'track', from })
    return () => {
      listeners.delete(listener)
      if (listeners.size > 0 || this.#trackerListeners.get(from) !== listeners) return
      this.#trackerListeners.delete(from)
      this.#thread?.postMessage({ kind: 'stop tracking', from } satisfies ToInputThread)
    }
  }

  #listen(from: string): void {
    const universes = [...new Set([...(this.#interfaces.get(from)?.listeners.values() ?? [])].flat())]
    this.#tell({ kind: 'listen', from, universes })
  }

  #tell(message: ToInputThread): void {
    this.#thread ??= this.#begin()
    this.#thread.postMessage(message)
  }

  #beginAgain(): void {
    for (const from of this.#interfaces.keys()) this.#listen(from)
    for (const from of this.#trackerListeners.keys()) this.#tell({ kind: 'track', from })
  }

  #begin(): Worker {
    const thread = new Worker(this.module)
    thread.unref()
    thread.on('message', (message: FromInputThread) => this.#hear(message))
    thread.on('error', (error) => log.error(error, 'the listening thread failed'))
    thread.on('exit', () => {
      if (this.#thread === thread) this.#thread = null
      if (!this.#isClosed) setTimeout(() => this.#beginAgain(), TRY_AGAIN).unref()
    })
    return thread
  }

  #hear(message: FromInputThread): void {
    if ('trackers' in message) return this.#eachTracking(message.from, (one) => one.trackers(message.trackers))
    if ('told' in message) return this.#eachTracking(message.from, (one) => one.told?.(message.told))
    const known = this.#interfaces.get(message.from)
    if (!known) return
    if ('heard' in message) {
      for (const listener of known.listeners.keys()) listener.heard(message)
      return
    }
    for (const one of message.levels) known.last.set(`${one[0]} ${one[1]}`, one)
    for (const listener of known.listeners.keys()) listener.levels(message.levels)
  }

  #eachTracking(from: string, tell: (listener: TrackerListener) => void): void {
    for (const listener of this.#trackerListeners.get(from) ?? []) tell(listener)
  }

  async close(): Promise<void> {
    this.#isClosed = true
    this.#interfaces.clear()
    this.#trackerListeners.clear()
    await this.#thread?.terminate()
  }
}
