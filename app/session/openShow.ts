/** Fetches a whole show. */
import type { ShowId } from '#core/show/ids'
import { request } from './request'
import { joined, readSnapshot } from './wire'

export interface Opened {
  readonly ok: true
  readonly opened: ReturnType<typeof readSnapshot>
  readonly tookMilliseconds: number
}

type Answer = Opened | { readonly ok: false; readonly trouble: string }

const AWAY = 'The server does not answer. Start it and reload this page.'

/** Joins a show and fetches it. */
export async function openShow(id: ShowId): Promise<Answer> {
  const answered = await request(`/api/shows/${id}/people`, joined, {})
  if (answered.ok) return fetchShow(id)
  if (answered.isAway) return { ok: false, trouble: AWAY }
  const isNowhere = answered.refusal.code === 'not found'
  return { ok: false, trouble: isNowhere ? 'There is no such show here.' : answered.refusal.message }
}

/** Fetches a show that was joined before. */
export async function fetchShow(id: ShowId): Promise<Answer> {
  try {
    const asked = performance.now()
    const response = await fetch(`/api/shows/${id}`)
    const tookMilliseconds = performance.now() - asked
    const body: unknown = await response.json()
    if (response.ok) return { ok: true, opened: readSnapshot(body), tookMilliseconds }
    return { ok: false, trouble: 'The show could not be opened. Reload this page.' }
  } catch {
    return { ok: false, trouble: AWAY }
  }
}
