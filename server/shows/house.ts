/**
 * The house: the database and the shows open in this process. Opened once; every route awaits it.
 * Other processes on the same database announce what they wrote, and we take it in.
 */
import type { Knex } from 'knex'
import { randomUUID } from 'node:crypto'
import { runCommand } from '#core/commands/registry'
import { applyChanges } from '#core/show/changes'
import { commandId, showId, type PersonId, type ShowId } from '#core/show/ids'
import { emptyShow, type Show } from '#core/show/show'
import { OSTREL_TYPES } from '#demo/types'
import { buildSaltLantern } from '#demo/saltLantern'
import { Announcements } from '../database/announcements'
import { openDatabase } from '../database/open'
import { listShows, writeWholeShow, type ShowSummary } from '../database/showRepository'
import { log } from '../http/log'
import { Outputs } from '../output/outputs'
import { FollowClock } from '../playback/followClock'
import { LiveShow } from './liveShow'
import { PLAIN_VENUE } from './plainVenue'

export class House {
  readonly knex: Knex
  readonly #announcements: Announcements
  readonly #open = new Map<ShowId, Promise<LiveShow | null>>()
  readonly #clocks = new Set<FollowClock>()
  readonly outputs: Outputs

  private constructor(knex: Knex, address: string, outputThread: URL) {
    this.knex = knex
    this.outputs = new Outputs(outputThread)
    this.#announcements = new Announcements(
      address,
      (show) => this.#takeIn(show),
      () => [...this.#open.keys()].forEach((show) => this.#takeIn(show)),
    )
  }

  /** `address` is the database's, `outputThread` the script that works out what goes out. */
  static async open(address: string, outputThread: URL): Promise<House> {
    const house = new House(await openDatabase(address), address, outputThread)
    try {
      await house.#announcements.connect()
      return house
    } catch (error) {
      await house.close()
      throw error
    }
  }

  /** The show in memory; null when there is none of this id. */
  show(id: ShowId): Promise<LiveShow | null> {
    const known = this.#open.get(id)
    if (known) return known
    const opening = LiveShow.open(this.knex, id).then((live) => {
      if (live) this.#clocks.add(new FollowClock(live))
      else this.#open.delete(id)
      return live
    })
    opening.catch(() => this.#open.delete(id))
    this.#open.set(id, opening)
    return opening
  }

  shows(): Promise<ShowSummary[]> {
    return listShows(this.knex)
  }

  /** Makes a show with a plain stage, the usual fixture types and one cue list. */
  async createShow(name: string, person: PersonId): Promise<ShowId> {
    const id = showId.parse(randomUUID())
    const input = { name, venue: PLAIN_VENUE, types: [...OSTREL_TYPES] }
    const outcome = runCommand(emptyShow(id), 'beginShow', input, commandId.parse(randomUUID()), {
      person,
      now: Date.now(),
    })
    if (!outcome.ok) throw new RangeError(outcome.refusal.message)
    await this.keepShow(applyChanges(emptyShow(id), outcome.changes))
    return id
  }

  /** Writes a whole show that was made elsewhere. */
  async keepShow(show: Show): Promise<void> {
    await this.knex.transaction((transaction) => writeWholeShow(transaction, show))
  }

  /** Loads the demo show where there is no show at all. */
  async loadDemoWhenEmpty(): Promise<void> {
    await this.knex.transaction(async (transaction) => {
      await transaction.raw('select pg_advisory_xact_lock(7246)')
      if ((await listShows(transaction)).length > 0) return
      await writeWholeShow(transaction, buildSaltLantern('salt-lantern'))
    })
  }

  #takeIn(name: string): void {
    const id = showId.safeParse(name)
    const open = id.success ? this.#open.get(id.data) : undefined
    open
      ?.then((live) => live?.catchUp())
      .catch((error: unknown) => log.error(error, 'could not take in what another process wrote'))
  }

  async close(): Promise<void> {
    for (const clock of this.#clocks) clock.close()
    await this.outputs.close()
    await this.#announcements.close()
    await this.knex.destroy()
  }
}
