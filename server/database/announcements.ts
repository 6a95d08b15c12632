/** Hears what other processes on the same database announce, and finds its way back after a break. */
import pg from 'pg'
import { log } from '../http/log'

export const CHANNEL = 'rhopander'
const TRY_AGAIN_AFTER = 1000

export class Announcements {
  readonly #address: string
  readonly #hear: (payload: string) => void
  readonly #missed: () => void
  #client: pg.Client | null = null
  #retry: NodeJS.Timeout | null = null
  #closed = false

  /** `hear` gets each announcement; `missed` is called when some may have been lost in a break. */
  constructor(address: string, hear: (payload: string) => void, missed: () => void) {
    this.#address = address
    this.#hear = hear
    this.#missed = missed
  }

  async connect(): Promise<void> {
    const client = new pg.Client({ connectionString: this.#address })
    client.on('notification', ({ payload }) => this.#hear(payload ?? ''))
    client.on('error', (error) => this.#lost(client, error))
    client.on('end', () => this.#lost(client, null))
    await client.connect()
    await client.query(`listen ${CHANNEL}`)
    this.#client = client
  }

  async close(): Promise<void> {
    this.#closed = true
    if (this.#retry) clearTimeout(this.#retry)
    await this.#client?.end()
  }

  #lost(client: pg.Client, error: Error | null): void {
    if (this.#closed || this.#client !== client) return
    log.warn(error, 'the line to other processes broke; trying again')
    this.#client = null
    this.#again()
  }

  #again(): void {
    this.#retry = setTimeout(() => {
      this.connect().then(
        () => this.#missed(),
        () => this.#again(),
      )
    }, TRY_AGAIN_AFTER)
  }
}
