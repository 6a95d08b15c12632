/**
 * Opens a show: joins it and fetches the whole of it. What was fetched is read here while a worker
 * checks every value of it, so that a large show can be worked on as soon as it is read.
 */
import { releaseProxy, wrap } from 'comlink'
import type { Refusal } from '#core/commands/command'
import type { ShowId } from '#core/show/ids'
import { framePainted } from './afterNextFrame'
import { joined, type Joined } from './access'
import { SnapshotFetcher, type Fetched } from './fetchSnapshot'
import { request } from './request'
import { readSnapshot, type Snapshot } from './wire'

export interface Opened {
  readonly ok: true
  readonly joined: Joined
  /** How long joining took, milliseconds: how fresh what it said of the clock is. */
  readonly tookMilliseconds: number
  readonly opened: Snapshot
  /** Whether every value of it is what it should be: told when all are checked. */
  readonly isSound: Promise<boolean>
}

/** Why a show is not there, and what leads on. */
export interface Trouble {
  readonly message: string
  readonly wayOn: 'another show' | 'another link'
}
type Fault = { readonly ok: false; readonly trouble: Trouble }

const trouble = (message: string, wayOn: Trouble['wayOn'] = 'another show'): Fault => ({
  ok: false,
  trouble: { message, wayOn },
})

const AWAY = trouble('The server does not answer. Start it and reload this page.')
/** Told where what was sent is no show. */
export const UNREADABLE = trouble('The show could not be read. Reload this page.')

/** What a refused request means for who has a show open. */
export function troubleOf({ code, message }: Refusal): Trouble {
  if (code === 'not found') return { message: 'There is no such show here.', wayOn: 'another show' }
  return { message, wayOn: code === 'no link' ? 'another link' : 'another show' }
}

/** Joins a show and fetches it; one who has joined before stays as they are. */
export async function openShow(id: ShowId): Promise<Opened | Fault> {
  const fetcher = beginFetching()
  const asked = performance.now()
  const answered = await request(`/api/shows/${id}/people`, joined, {})
  const tookMilliseconds = performance.now() - asked
  const fetched = answered.ok ? await fetcher.fetch(id) : null
  if (!answered.ok || fetched?.kind !== 'fetched') fetcher.end()
  if (!answered.ok) return answered.isAway ? AWAY : { ok: false, trouble: troubleOf(answered.refusal) }
  if (fetched?.kind !== 'fetched') return fetched?.kind === 'away' ? AWAY : UNREADABLE
  const opened = readOrNull(fetched.text)
  // Checking keeps a processor busy: what was read is shown first.
  const isSound = framePainted()
    .then(() => fetcher.isSound())
    .finally(() => fetcher.end())
  return opened ? { ok: true, joined: answered.body, tookMilliseconds, opened, isSound } : UNREADABLE
}

function readOrNull(text: string): Snapshot | null {
  try {
    return readSnapshot(text)
  } catch {
    return null
  }
}

interface Fetching {
  readonly fetch: (id: ShowId) => Promise<Fetched>
  readonly isSound: () => Promise<boolean>
  end(): void
}

/** In a worker of its own, where there are such: tests outside a browser have none. */
function beginFetching(): Fetching {
  if (typeof Worker === 'undefined') {
    const fetcher = new SnapshotFetcher()
    return { fetch: (id) => fetcher.fetch(id), isSound: async () => fetcher.isSound(), end: () => undefined }
  }
  const worker = new Worker(new URL('../workers/snapshot.worker.ts', import.meta.url), { type: 'module' })
  const remote = wrap<SnapshotFetcher>(worker)
  return {
    fetch: async (id) => remote.fetch(id),
    isSound: () => remote.isSound(),
    end: () => {
      remote[releaseProxy]()
      worker.terminate()
    },
  }
}
