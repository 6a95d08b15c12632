/** Fetches a whole show and checks all of it. Runs in a worker: a large one takes its time. */
import type { ShowId } from '#core/show/ids'
import { checkSnapshot } from './wire'

export type Fetched =
  /** What was sent, checked: reading it is left to the thread that will use it. */
  | { readonly kind: 'fetched'; readonly text: string; readonly tookMilliseconds: number }
  | { readonly kind: 'refused' }
  | { readonly kind: 'away' }

export async function fetchSnapshot(id: ShowId): Promise<Fetched> {
  try {
    const asked = performance.now()
    const response = await fetch(`/api/shows/${id}`)
    const tookMilliseconds = performance.now() - asked
    const text = await response.text()
    if (!response.ok) return { kind: 'refused' }
    checkSnapshot(text)
    return { kind: 'fetched', text, tookMilliseconds }
  } catch {
    return { kind: 'away' }
  }
}
