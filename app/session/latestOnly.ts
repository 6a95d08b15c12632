/** Work of which only the newest matters, one at a time: what was overtaken while it waited is never begun. */
export class LatestOnly<Result> {
  #next: {
    readonly work: () => Promise<Result> | Result
    readonly end: (result: Promise<Result> | null) => void
  } | null = null
  #isBusy = false

  /** Resolves to the result; to null where something newer was asked for before this was begun. */
  ask(work: () => Promise<Result> | Result): Promise<Result | null> {
    return new Promise((resolve) => {
      this.#next?.end(null)
      this.#next = { work, end: resolve }
      if (!this.#isBusy) void this.#goOn()
    })
  }

  async #goOn(): Promise<void> {
    this.#isBusy = true
    for (let one = this.#next; one; one = this.#next) {
      this.#next = null
      const { work } = one
      const result = (async () => work())()
      one.end(result)
      await result.catch(() => undefined)
    }
    this.#isBusy = false
  }
}
