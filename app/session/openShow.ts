/** Opens a show: joins it and fetches the whole of it. */
import { releaseProxy, wrap } from 'comlink'
import type { Refusal } from '#core/commands/command'
import type { ShowId } from '#core/show/ids'
import type { SnapshotWorker } from '../workers/snapshot.worker'
import { joined, type Joined } from './access'
import { fetchSnapshot, type Fetched } from './fetchSnapshot'
import { request } from './request'
import { readSnapshot, type Snapshot } from './wire'

export interface Opened {
  readonly ok: true
  readonly opened: Snapshot
  readonly tookMilliseconds: number
}

/** Why a show is not there, and what leads on. */
export interface Trouble {
  readonly message: string
  readonly wayOn: 'another show' | 'another link'
}
type Fault = { readonly ok: false; readonly trouble: Trouble }
type Answer = Opened | Fault

const trouble = (message: string, wayOn: Trouble['wayOn'] = 'another show'): Fault => ({
  ok: false,
  trouble: { message, wayOn },
})

const AWAY = trouble('The server does not answer. Start it and reload this page.')

/** What a refused request means for who has a show open. */
export function troubleOf({ code, message }: Refusal): Trouble {
  if (code === 'not found') return { message: 'There is no such show here.', wayOn: 'another show' }
  return { message, wayOn: code === 'no link' ? 'another link' : 'another show' }
}

/** Joins a show and fetches it. */
export async function openShow(id: ShowId): Promise<(Opened & { readonly joined: Joined }) | Fault> {
  const answered = await request(`/api/shows/${id}/people`, joined, {})
  if (answered.ok) {
    const fetched = await fetchShow(id)
    return fetched.ok ? { ...fetched, joined: answered.body } : fetched
  }
  return answered.isAway ? AWAY : { ok: false, trouble: troubleOf(answered.refusal) }
}

/** Fetches a show that was joined before. */
export async function fetchShow(id: ShowId): Promise<Answer> {
  const fetched = await fetchElsewhere(id)
  if (fetched.kind === 'away') return AWAY
  if (fetched.kind === 'refused') return trouble('The show could not be opened. Reload this page.')
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
