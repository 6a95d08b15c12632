/** Work that is done one after another, in the order it was asked for. */
export class InTurn {
  #last: Promise<unknown> = Promise.resolve()

  /** Resolves to the result once everything asked for before has ended; rejects as the work does, which holds up nothing. */
  next<Result>(work: () => Promise<Result>): Promise<Result> {
    const result = this.#last.then(work)
    this.#last = result.catch(() => undefined)
    return result
  }
}
