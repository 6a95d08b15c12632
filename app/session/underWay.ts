/** Requests that have not been answered yet. */
export class UnderWay {
  readonly #requests = new Set<Promise<unknown>>()

  add<T>(request: Promise<T>): Promise<T> {
    this.#requests.add(request)
    return request.finally(() => this.#requests.delete(request))
  }

  /** Resolves when everything that is under way has been answered. */
  async answered(): Promise<void> {
    await Promise.all(this.#requests)
  }
}
