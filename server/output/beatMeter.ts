/** How evenly frames come: what is told of it each second. */
const BEATS_KEPT = 400

export class BeatMeter {
  #last: number | null = null
  #off: number[] = []
  #missed = 0

  /** `every` is how far apart beats are to be, milliseconds. */
  constructor(private readonly every: number) {}

  /** A beat at an instant, milliseconds. */
  beat(at: number): void {
    const since = this.#last === null ? this.every : at - this.#last
    this.#last = at
    this.#missed += Math.max(0, Math.round(since / this.every) - 1)
    this.#off.push(Math.abs(since - this.every))
    if (this.#off.length > BEATS_KEPT) this.#off.shift()
  }

  /** The beat rests: what comes next is not late for it. */
  rest(): void {
    this.#last = null
  }

  /** How far beats were off, 99 in 100 of them, milliseconds, and how many were left out, since it was asked last. */
  tell(): { jitterMilliseconds: number | null; missed: number } {
    const sorted = this.#off.sort((a, b) => a - b)
    const jitterMilliseconds = sorted[Math.floor(sorted.length * 0.99)] ?? null
    const told = { jitterMilliseconds, missed: this.#missed }
    this.#off = []
    this.#missed = 0
    return told
  }
}
