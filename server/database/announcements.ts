/**
 * Hears what other processes on the same database announce, and finds its way back after a break.
 * A heartbeat tells when the line is dead without having said so, and brings the database's time.
 */
import pg from 'pg'
import { log } from '../http/log'
import type { DatabaseClock } from './databaseClock'

export const CHANNEL = 'rhopander'

/** Says that a show stands at a revision. */
export const announcementOf = (show: string, revision: number) => `${show} ${revision}`

/** What an announcement says; the revision is endless where an earlier release left it out. */
export function readAnnouncement(payload: string): { show: string; revision: number } {
  const [show = '', revision] = payload.split(' ')
  return { show, revision: revision === undefined ? Infinity : Number(revision) }
}

export interface Listening {
  /** Gets each announcement. */
  hear(payload: string): void
  /** Called when some may have been lost in a break. */
  missed(): void
}

/** Milliseconds: how often the line is tried, how long an answer may take, and the pause before another line. */
export const BEAT = { every: 5000, patience: 5000, again: 1000 }

export class Announcements {
  readonly #address: string
  readonly #clock: DatabaseClock
  readonly #on: Listening
  readonly #beat: typeof BEAT
  #client: pg.Client | null = null
  #timer: NodeJS.Timeout | null = null
  #closed = false

  constructor(address: string, clock: DatabaseClock, on: Listening, beat = BEAT) {
    this.#address = address
    this.#clock = clock
    this.#on = on
    this.#beat = beat
  }

  /** Begins to hear; throws what the database does, or when it does not answer in time. */
  async connect(): Promise<void> {
    const { patience } = this.#beat
    const client = new pg.Client({
      connectionString: this.#address,
      connectionTimeoutMillis: patience,
      query_timeout: patience,
    })
    client.on('notification', ({ payload }) => this.#on.hear(payload ?? ''))
    client.on('error', (error) => this.#lost(client, error))
    client.on('end', () => this.#lost(client, null))
    try {
      await client.connect()
      await client.query(`listen ${CHANNEL}`)
      await this.#readClock(client)
    } catch (error) {
      client.end().catch(() => undefined)
      throw error
    }
    this.#client = client
    this.#wait(this.#beat.every, () => this.#try(client))
  }

  async close(): Promise<void> {
    this.#closed = true
    if (this.#timer) clearTimeout(this.#timer)
    await this.#client?.end()
  }

  #wait(milliseconds: number, then: () => void): void {
    if (this.#closed) return
    this.#timer = setTimeout(then, milliseconds)
    this.#timer.unref()
  }

  #try(client: pg.Client): void {
    this.#readClock(client).then(
      () => this.#client === client && this.#wait(this.#beat.every, () => this.#try(client)),
      (error: unknown) => this.#lost(client, error),
    )
  }

  async #readClock(client: pg.Client): Promise<void> {
    const asked = Date.now()
    const { rows } = await client.query<{ now: number }>(
      'select (extract(epoch from clock_timestamp()) * 1000)::float8 as now',
    )
    if (rows[0]) this.#clock.set(rows[0].now, asked)
  }

  #lost(client: pg.Client, error: unknown): void {
    if (this.#closed || this.#client !== client) return
    log.warn(error, 'the line to other processes broke; trying again')
    this.#client = null
    client.end().catch(() => undefined)
    if (this.#timer) clearTimeout(this.#timer)
    this.#again()
  }

  #again(): void {
    this.#wait(this.#beat.again, () => {
      this.connect().then(
        () => this.#on.missed(),
        () => this.#again(),
      )
    })
  }
}
