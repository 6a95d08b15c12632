/**
 * Opens a show: joins it and fetches the whole of it. What was fetched is read here while a worker
 * checks every value of it, so that a large show can be worked on as soon as it is read.
 */
import type { Refusal } from '#core/commands/command'
import { applyChanges } from '#core/show/changes'
import type { ShowId } from '#core/show/ids'
import { joined, type Joined } from './access'
import { fetchSnapshot, type Fetched } from './fetchSnapshot'
import { request } from './request'
import { entryList, readSnapshot, type Snapshot } from './responses'
import { besideShow, type Beside } from './showWorker'

export interface Opened {
  readonly ok: true
  readonly joined: Joined
  /** How long joining took, milliseconds: how fresh what it said of the clock is. */
  readonly tookMilliseconds: number
  readonly opened: Snapshot
  /** Checks it, and works beside it. */
  readonly beside: Beside
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
  const [{ answered, tookMilliseconds }, fetched] = await Promise.all([join(id), fetchSnapshot(id)])
  if (!answered.ok) return answered.isAway ? AWAY : { ok: false, trouble: troubleOf(answered.refusal) }
  const read = readOrFault(fetched)
  // Who joins for the first time may not have been there when the show was asked for.
  const isIn = read.ok && read.opened.show.all.person.has(answered.body.person)
  const whole = read.ok && !isIn ? await broughtUpToDate(id, read) : read
  return whole.ok ? { ...whole, joined: answered.body, tookMilliseconds } : whole
}

async function join(id: ShowId) {
  const asked = performance.now()
  const answered = await request(`/api/shows/${id}/people`, joined, {})
  return { answered, tookMilliseconds: performance.now() - asked }
}

type Read = Pick<Opened, 'ok' | 'opened' | 'beside'>

function readOrFault(fetched: Fetched): Read | Fault {
  if (fetched.kind === 'away') return AWAY
  const opened = fetched.kind === 'fetched' && readOrNull(fetched.bytes)
  if (!opened) return UNREADABLE
  return { ok: true, opened, beside: besideShow(fetched.bytes, opened.show) }
}

/** Takes in what was done since; where that is much, the show is fetched again. */
async function broughtUpToDate(id: ShowId, read: Read): Promise<Read | Fault> {
  const { show, revision } = read.opened
  const missed = await request(`/api/shows/${id}/entries?since=${revision}`, entryList)
  const entries = missed.ok ? missed.body.entries : null
  if (!entries) {
    read.beside.close()
    return readOrFault(await fetchSnapshot(id))
  }
  const now = entries.reduce((before, { changes }) => applyChanges(before, changes), show)
  return { ...read, opened: { show: now, revision: entries.at(-1)?.seq ?? revision } }
}

function readOrNull(bytes: ArrayBuffer): Snapshot | null {
  try {
    return readSnapshot(new TextDecoder().decode(bytes))
  } catch {
    return null
  }
}
