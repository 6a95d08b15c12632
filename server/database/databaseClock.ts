/** The database's clock, which all servers on it share, read without asking it every time. */
export class DatabaseClock {
  #ahead = 0

  /** Takes in what the database's clock said, asked for at `asked` by our own; both milliseconds since 1970. */
  set(said: number, asked: number): void {
    this.#ahead = said - (asked + Date.now()) / 2
  }

  /** How far the database's clock is ahead of ours, milliseconds. */
  get ahead(): number {
    return this.#ahead
  }

  /** What it says now, milliseconds since 1970. */
  read(): number {
    return Math.round(Date.now() + this.#ahead)
  }
}
