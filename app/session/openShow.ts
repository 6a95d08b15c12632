/** Opens a show: joins it and fetches the whole of it. */
import { releaseProxy, wrap } from 'comlink'
import type { ShowId } from '#core/show/ids'
import type { SnapshotWorker } from '../workers/snapshot.worker'
import { fetchSnapshot, type Fetched } from './fetchSnapshot'
import { request } from './request'
import { joined, readSnapshot, type Snapshot } from './wire'

export interface Opened {
  readonly ok: true
  readonly opened: Snapshot
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
  const fetched = await fetchElsewhere(id)
  if (fetched.kind === 'away') return { ok: false, trouble: AWAY }
  if (fetched.kind === 'refused') return { ok: false, trouble: 'The show could not be opened. Reload this page.' }
  return { ok: true, opened: readSnapshot(fetched.text), tookMilliseconds: fetched.tookMilliseconds }
}

/** In a worker of its own, where there are such: tests outside a browser have none. */
async function fetchElsewhere(id: ShowId): Promise<Fetched> {
  if (typeof Worker === 'undefined') return fetchSnapshot(id)
  const worker = new Worker(new URL('../workers/snapshot.worker.ts', import.meta.url), { type: 'module' })
  const remote = wrap<SnapshotWorker>(worker)
  try {
    return await remote.fetchSnapshot(id)
  } catch {
    return { kind: 'away' }
  } finally {
    remote[releaseProxy]()
    worker.terminate()
  }
}
