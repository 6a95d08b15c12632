/**
 * Sends one output: what changes at once but 44 times a second at most, three times more after that, and
 * what stays as it is often enough for receivers to know that it is there.
 */
import { TERMINATED_TIMES } from '#core/output/wire/e131'
import type { Universes } from '#core/output/channelLevels'
import type { Output } from '#core/show/entities'
import type { Line } from './line'
import type { Packets } from './packets'

/** Milliseconds between two packets of a universe at least: 44 a second. */
const CLOSEST = 1000 / 44
/** What has changed is sent so many times more, so far apart: one packet may get lost. */
const REPEATS = 3
const REPEAT_AFTER = 25
/** What stays as it is goes out again after so long. */
const KEEP_ALIVE = 900
/** Which universes are sent is told so often. */
const DISCOVERY_EVERY = 10_000
/** What is due within this goes out now: timers are no finer. */
const GRAIN = 0.6

/** A universe on its way. */
interface Sent {
  /** Its number as it goes out. */
  readonly number: number
  levels: Uint8Array
  sequence: number
  /** When it was sent last; milliseconds of the thread's own clock. */
  at: number
  hasChanged: boolean
  repeats: number
}

export class Sender {
  readonly #sent = new Map<number, Sent>()
  readonly #discovery: ReturnType<typeof setInterval>
  #timer: ReturnType<typeof setTimeout> | undefined
  #syncSequence = 0
  #packets = 0
  #lost = 0
  #trouble: string | null = null

  constructor(
    private readonly output: Pick<Output, 'first' | 'last' | 'sentAs'>,
    private readonly packets: Packets,
    private readonly line: Line,
  ) {
    this.#discovery = setInterval(() => this.#discover(), DISCOVERY_EVERY)
  }

  /** Takes in levels by universe of the show; those that are not its own, or no longer there, are left out. */
  offer(universes: Universes): void {
    const { first, last, sentAs } = this.output
    const isNew = this.#sent.size === 0
    for (const [universe, levels] of universes) {
      if (universe < first || universe > last) continue
      const known = this.#sent.get(universe)
      if (!known) {
        const number = sentAs + universe - first
        this.#sent.set(universe, { number, levels, sequence: 0, at: -Infinity, hasChanged: true, repeats: 0 })
      } else if (Buffer.compare(known.levels, levels) !== 0) {
        known.levels = levels
        known.hasChanged = true
      }
    }
    for (const [universe, sent] of this.#sent)
      if (!universes.has(universe)) {
        this.#sayGoodbye(sent)
        this.#sent.delete(universe)
      }
    this.#work()
    if (isNew && this.#sent.size > 0) this.#discover()
  }

  #dueAt({ at, hasChanged, repeats }: Sent): number {
    return at + (hasChanged ? CLOSEST : repeats > 0 ? REPEAT_AFTER : KEEP_ALIVE)
  }

  /** Sends what is due, and plans the next time. */
  #work(): void {
    clearTimeout(this.#timer)
    const now = performance.now()
    let isAny = false
    for (const sent of this.#sent.values())
      if (this.#dueAt(sent) <= now + GRAIN) {
        this.#send(sent, now)
        isAny = true
      }
    if (isAny) this.#synchronise()
    const next = Math.min(...[...this.#sent.values()].map((sent) => this.#dueAt(sent)))
    if (Number.isFinite(next)) this.#timer = setTimeout(() => this.#work(), Math.max(0, next - performance.now()))
  }

  #send(sent: Sent, now: number): void {
    sent.sequence = this.packets.after(sent.sequence)
    sent.repeats = sent.hasChanged ? REPEATS : Math.max(0, sent.repeats - 1)
    sent.hasChanged = false
    sent.at = now
    this.#hand(this.packets.levels({ universe: sent.number, sequence: sent.sequence, levels: sent.levels }))
  }

  #synchronise(): void {
    this.#syncSequence = this.packets.after(this.#syncSequence)
    const parcel = this.packets.synchronisation(this.#syncSequence)
    if (parcel) this.#hand(parcel)
  }

  #discover(): void {
    const numbers = [...this.#sent.values()].map(({ number }) => number)
    if (numbers.length > 0) for (const parcel of this.packets.discovery(numbers)) this.#hand(parcel)
  }

  #sayGoodbye(sent: Sent): void {
    for (let i = 0; i < TERMINATED_TIMES; i++) {
      sent.sequence = this.packets.after(sent.sequence)
      const parcel = this.packets.goodbye({ universe: sent.number, sequence: sent.sequence, levels: sent.levels })
      if (parcel) this.#hand(parcel)
    }
  }

  #hand(parcel: Parameters<Line['send']>[0]): void {
    this.line.send(parcel, (trouble) => {
      this.#packets += 1
      if (trouble !== null) this.#lost += 1
      this.#trouble = trouble
    })
  }

  /** The numbers its universes go out by. */
  get numbers(): number[] {
    return [...this.#sent.values()].map(({ number }) => number)
  }

  /** What went out since it was asked last. */
  tell(): { universes: number; packets: number; lost: number; trouble: string | null } {
    const told = {
      ...{ universes: this.#sent.size, packets: this.#packets - this.#lost },
      ...{ lost: this.#lost, trouble: this.#trouble ?? this.line.trouble },
    }
    this.#packets = this.#lost = 0
    return told
  }

  /** Stops; with a goodbye where what it sent is not sent on by another. */
  close(withGoodbye: boolean): void {
    clearTimeout(this.#timer)
    clearInterval(this.#discovery)
    if (withGoodbye) for (const sent of this.#sent.values()) this.#sayGoodbye(sent)
    this.#sent.clear()
  }
}
