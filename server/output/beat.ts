/** A beat that comes evenly, to a part of a millisecond: timers alone are not finer than one, and drift. */

/** The thread sleeps through so much before each beat, milliseconds: its timer is set to wake it that early. */
const EARLY = 1.6

const sleeping = new Int32Array(new SharedArrayBuffer(4))

export class Beat {
  #timer: ReturnType<typeof setTimeout> | undefined
  #next = 0

  /** Calls back `every` milliseconds once started. */
  constructor(
    private readonly every: number,
    private readonly work: () => void,
  ) {}

  get isRunning(): boolean {
    return this.#timer !== undefined
  }

  /** How long it is to the next beat, milliseconds. */
  get left(): number {
    return Math.max(0, this.#next - performance.now())
  }

  start(): void {
    this.#next = performance.now() + this.every
    this.#plan()
  }

  #plan(): void {
    this.#timer = setTimeout(() => this.#beat(), Math.max(0, this.left - EARLY))
  }

  #beat(): void {
    if (this.left > 0) Atomics.wait(sleeping, 0, 0, this.left)
    this.#next += this.every
    // What was missed is left out.
    if (this.left === 0) this.#next = performance.now() + this.every
    this.#plan()
    this.work()
  }

  stop(): void {
    clearTimeout(this.#timer)
    this.#timer = undefined
  }
}
