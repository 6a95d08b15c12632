/** Sends a show while any of its outputs is on: from this server as long as it holds the lease. */
import type { Knex } from 'knex'
import { log } from '../http/log'
import type { LiveShow } from '../shows/liveShow'
import { Lease } from './lease'
import type { Outputs } from './outputs'

export class Sending {
  readonly #unsubscribe: () => void
  #lease: Lease | null = null
  #ending: Promise<void> = Promise.resolve()

  /** `server` tells this server from others on the same database. */
  constructor(
    private readonly live: LiveShow,
    private readonly knex: Knex,
    private readonly server: string,
    private readonly outputs: Outputs,
  ) {
    this.#unsubscribe = live.subscribe({ entry: () => this.#look(), reloaded: () => this.#look() })
    this.#look()
  }

  /** Whether anything is to be sent, so that the show must stay in memory. */
  get isOn(): boolean {
    return [...this.live.show.all.output.values()].some(({ isOn }) => isOn)
  }

  #look(): void {
    if (this.isOn === (this.#lease !== null)) return
    if (this.isOn) this.#begin()
    else {
      this.outputs.setSender(this.live, 'nobody')
      this.#end(false)
    }
  }

  #begin(): void {
    this.#lease = new Lease(this.knex, this.live.show.id, this.server, (isOurs) =>
      this.outputs.setSender(this.live, isOurs ? 'here' : 'elsewhere'),
    )
  }

  #end(isStillWanted: boolean): void {
    const lease = this.#lease
    this.#lease = null
    if (!lease) return
    this.#ending = this.#ending
      .then(() => lease.close(isStillWanted))
      .catch((error: unknown) => log.warn(error, 'the lease of an output could not be given back'))
  }

  /** Lets go of the show; another server sends on what is still on. */
  async close(): Promise<void> {
    this.#unsubscribe()
    this.#end(this.isOn)
    await this.#ending
  }
}
