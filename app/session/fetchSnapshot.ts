/** Fetches a whole show, and checks all of it. Runs in a worker: a large one takes its time. */
import type { ShowId } from '#core/show/ids'
import { checkSnapshot } from './wire'

export type Fetched =
  /** What was sent: reading it is left to the thread that will use it. */
  { readonly kind: 'fetched'; readonly text: string } | { readonly kind: 'refused' } | { readonly kind: 'away' }

export class SnapshotFetcher {
  #text = ''

  async fetch(id: ShowId): Promise<Fetched> {
    try {
      const response = await fetch(`/api/shows/${id}`)
      this.#text = await response.text()
      return response.ok ? { kind: 'fetched', text: this.#text } : { kind: 'refused' }
    } catch {
      return { kind: 'away' }
    }
  }

  /** Whether every value of what was fetched is what it should be. */
  isSound(): boolean {
    try {
      checkSnapshot(this.#text)
      return true
    } catch {
      return false
    }
  }
}
