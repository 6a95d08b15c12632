/**
 * Which of several servers on one database sends a show: the one that holds its lease. It is renewed all the
 * time; a server that dies or hangs lets it run out, and another takes it. A server that cannot reach the
 * database goes on as it was: no other can take over without it either.
 */
import type { Knex } from 'knex'
import type { ShowId } from '#core/show/ids'
import { showId } from '#core/show/ids'
import { log } from '../http/log'

/** How long a lease holds and how often it is renewed or asked for, milliseconds: others send within 3 s. */
const HOLDS = 1500
const RENEW = 400

export class Lease {
  #timer: ReturnType<typeof setTimeout> | undefined
  #isOurs: boolean | null = null
  #isClosed = false
  #asking: Promise<void> = Promise.resolve()

  /** `changed` hears at first, and then whenever it becomes this server's, named `holder`, or another's. */
  constructor(
    private readonly knex: Knex,
    private readonly show: ShowId,
    private readonly holder: string,
    private readonly changed: (isOurs: boolean) => void,
  ) {
    this.#ask()
  }

  #ask(): void {
    this.#asking = this.#renew()
      .then((isOurs) => {
        if (this.#isClosed || isOurs === this.#isOurs) return
        this.#isOurs = isOurs
        this.changed(isOurs)
      })
      .catch((error: unknown) => log.warn(error, 'the lease of an output could not be renewed'))
      .finally(() => {
        if (!this.#isClosed) this.#timer = setTimeout(() => this.#ask(), RENEW).unref()
      })
  }

  async #renew(): Promise<boolean> {
    const { rows } = await this.knex.raw<{ rows: unknown[] }>(
      `insert into output_lease (show_id, holder, expires_at) values (?, ?, now() + interval '${HOLDS} milliseconds')
        on conflict (show_id) do update set holder = excluded.holder, expires_at = excluded.expires_at
        where output_lease.holder = excluded.holder or output_lease.expires_at < now() returning holder`,
      [this.show, this.holder],
    )
    return rows.length > 0
  }

  /** Lets go of it: for others to take at once while anything is to be sent, else for good. */
  async close(isStillWanted: boolean): Promise<void> {
    this.#isClosed = true
    clearTimeout(this.#timer)
    await this.#asking
    const own = this.knex('output_lease').where({ show_id: this.show, holder: this.holder })
    await (isStillWanted ? own.update({ expires_at: this.knex.raw("now() - interval '1 second'") }) : own.delete())
  }
}

/** Shows that are to be sent and that no server sends just now. */
export async function showsWithoutSender(knex: Knex): Promise<ShowId[]> {
  const rows: { show_id: unknown }[] = await knex('output_lease').where('expires_at', '<', knex.raw('now()'))
  return rows.map((row) => showId.parse(row.show_id))
}
