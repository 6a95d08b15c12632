/** Slows down who tries keys: from the fifth wrong one on, each costs twice the wait of the last. */

const FREE = 4
const LONGEST = 60_000
/** A wrong key is forgotten after so long, milliseconds. */
const FORGOTTEN = 15 * 60_000
const MOST_REMEMBERED = 10_000

interface Wrong {
  readonly count: number
  readonly at: number
}

export class Tries {
  readonly #now: () => number
  /** By address, the one that tried last at the end. */
  readonly #wrong = new Map<string, Wrong>()

  /** `now` gives milliseconds. */
  constructor(now: () => number = Date.now) {
    this.#now = now
  }

  /** How long an address must wait before it may try again, milliseconds. */
  wait(address: string): number {
    const wrong = this.#recent(address)
    if (!wrong || wrong.count <= FREE) return 0
    return Math.max(0, wrong.at + Math.min(LONGEST, 1000 * 2 ** (wrong.count - FREE - 1)) - this.#now())
  }

  failed(address: string): void {
    const count = (this.#recent(address)?.count ?? 0) + 1
    this.#wrong.delete(address)
    this.#wrong.set(address, { count, at: this.#now() })
    const [oldest] = this.#wrong.keys()
    if (this.#wrong.size > MOST_REMEMBERED && oldest !== undefined) this.#wrong.delete(oldest)
  }

  succeeded(address: string): void {
    this.#wrong.delete(address)
  }

  #recent(address: string): Wrong | undefined {
    const wrong = this.#wrong.get(address)
    return wrong && this.#now() - wrong.at < FORGOTTEN ? wrong : undefined
  }
}
