/** Fetches a whole show. */
import type { ShowId } from '#core/show/ids'
import { readSnapshot } from './wire'

type Opened =
  | { readonly ok: true; readonly opened: ReturnType<typeof readSnapshot>; readonly tookMilliseconds: number }
  | { readonly ok: false; readonly trouble: string }

export async function openShow(id: ShowId): Promise<Opened> {
  try {
    const asked = performance.now()
    const response = await fetch(`/api/shows/${id}`)
    const tookMilliseconds = performance.now() - asked
    const body: unknown = await response.json()
    if (response.ok) return { ok: true, opened: readSnapshot(body), tookMilliseconds }
    return {
      ok: false,
      trouble: response.status === 404 ? 'There is no such show here.' : 'The show could not be opened.',
    }
  } catch {
    return { ok: false, trouble: 'The server does not answer. Start it and reload this page.' }
  }
}
