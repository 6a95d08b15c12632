/** Who touched which register last, undo included, as far back as is kept in memory. */
import type { JournalEntry } from './entry'
import type { Touch } from './history'

/** Writes kept at the least; twice as many at the most. */
const KEPT = 10_000

export class RecentTouches {
  /** Older ones of these are given up together, so that keeping them costs nothing much. */
  #older = new Map<string, Touch>()
  #newer = new Map<string, Touch>()
  #newerSince: number
  #known: number

  /** Knows nothing of entries up to `seq`. */
  constructor(seq: number) {
    this.#known = this.#newerSince = seq
  }

  /** Everything after this is known. */
  get knownSince(): number {
    return this.#known
  }

  /** Takes the next entry in. */
  add({ seq, person, window, changes }: JournalEntry): void {
    if (this.#newer.size >= KEPT) {
      this.#older = this.#newer
      this.#known = this.#newerSince
      this.#newer = new Map()
      this.#newerSince = seq - 1
    }
    const touch = { seq, person, window }
    for (const { register } of changes) this.#newer.set(register, touch)
  }

  /** The last touch of a register after `knownSince`, if there was one. */
  get(register: string): Touch | undefined {
    return this.#newer.get(register) ?? this.#older.get(register)
  }
}
