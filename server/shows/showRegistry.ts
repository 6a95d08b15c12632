/**
 * The registry of shows: the database and the shows open in this process. Opened once; every route awaits it.
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
import { installationName } from '../database/accessRepository'
import { Announcements, readAnnouncement } from '../database/announcements'
import { DatabaseClock } from '../database/databaseClock'
import { openDatabase } from '../database/open'
import { listShows, writeWholeShow, type ShowSummary } from '../database/showRepository'
import { log } from '../http/log'
import { ControlDesk } from '../control/controlDesk'
import { showsWithControls } from '../control/showsWithControls'
import { Inputs } from '../input/inputs'
import { Outputs } from '../output/outputs'
import { showsWithoutSender } from '../output/lease'
import { Sending } from '../output/sending'
import { FollowClock } from '../playback/followClock'
import { LiveShow } from './liveShow'
import { PLAIN_VENUE } from './plainVenue'

/** A show nobody has open is let go of after so long, milliseconds. */
const IDLE = 300_000
const LOOK_EVERY = 60_000
/** How often it is looked for shows that no server sends any more, milliseconds. */
const SENDERS_EVERY = 500

/** A show in memory, with its clock, what sends it and what obeys controls. All three always listen to it. */
interface Opened {
  readonly live: LiveShow
  readonly follow: FollowClock
  readonly sending: Sending
  readonly controls: ControlDesk
}
const OWN_LISTENERS = 3

/** The scripts of the threads that work out what goes out, and that listen. */
export interface ThreadScripts {
  readonly outputThread: URL
  readonly inputThread: URL
}

export class ShowRegistry {
  readonly knex: Knex
  /** What this database is told from others by. */
  readonly installation: string
  readonly clock: DatabaseClock
  readonly outputs: Outputs
  readonly inputs: Inputs
  readonly #announcements: Announcements
  readonly #open = new Map<ShowId, Promise<Opened | null>>()
  readonly #usedAt = new Map<ShowId, number>()
  /** What this server is told from others on the same database by. */
  readonly #server = randomUUID()
  readonly #looking: readonly ReturnType<typeof setInterval>[]

  private constructor(knex: Knex, installation: string, address: string, { outputThread, inputThread }: ThreadScripts) {
    this.knex = knex
    this.installation = installation
    this.clock = new DatabaseClock()
    this.inputs = new Inputs(inputThread)
    this.outputs = new Outputs(outputThread, this.clock, installation, this.inputs)
    this.#announcements = new Announcements(address, this.clock, {
      hear: (payload) => this.#catchUp(readAnnouncement(payload)),
      missed: () => [...this.#open.keys()].forEach((show) => this.#catchUp({ show, revision: Infinity })),
    })
    this.#looking = [
      setInterval(() => void this.letGoOfIdle(IDLE), LOOK_EVERY),
      setInterval(() => void this.#openWanted(), SENDERS_EVERY),
    ]
    for (const timer of this.#looking) timer.unref()
  }

  /** `address` is the database's. Throws what the database does. */
  static async open(address: string, threads: ThreadScripts): Promise<ShowRegistry> {
    const knex = await openDatabase(address)
    const installation = await installationName(knex).catch(async (error: unknown) => {
      await knex.destroy()
      throw error
    })
    const registry = new ShowRegistry(knex, installation, address, threads)
    try {
      await registry.#announcements.connect()
      return registry
    } catch (error) {
      await registry.close()
      throw error
    }
  }

  /** The shows in memory. */
  get openShows(): ShowId[] {
    return [...this.#open.keys()]
  }

  /** The show in memory; null when there is none of this id. */
  async show(id: ShowId): Promise<LiveShow | null> {
    this.#usedAt.set(id, Date.now())
    const opened = await (this.#open.get(id) ?? this.#begin(id))
    if (!opened) this.#usedAt.delete(id)
    return opened?.live ?? null
  }

  /** What obeys the controls of a show; null when there is no show of this id. */
  async controls(id: ShowId): Promise<ControlDesk | null> {
    await this.show(id)
    const opened = await this.#open.get(id)
    return opened?.controls ?? null
  }

  #begin(id: ShowId): Promise<Opened | null> {
    const opening = LiveShow.open(this.knex, id).then((live) => {
      if (!live) this.#open.delete(id)
      if (!live) return null
      const sending = new Sending(live, this.knex, this.#server, this.outputs)
      return { live, follow: new FollowClock(live, this.clock), sending, controls: new ControlDesk(live) }
    })
    opening.catch(() => this.#open.delete(id))
    this.#open.set(id, opening)
    return opening
  }

  /** Lets go of shows that nobody has listened to or asked for since so many milliseconds, and in which nothing is due. */
  async letGoOfIdle(idle: number): Promise<void> {
    for (const [id, opening] of this.#open) {
      const opened = await opening.catch(() => null)
      const isUsed = Date.now() - (this.#usedAt.get(id) ?? 0) < idle
      const isBusy = opened && (opened.follow.isWaiting || opened.sending.isOn || opened.controls.isOn)
      if (!opened || isUsed || isBusy || opened.live.listeners > OWN_LISTENERS) continue
      opened.follow.close()
      opened.controls.close()
      void opened.sending.close()
      this.#open.delete(id)
      this.#usedAt.delete(id)
    }
  }

  /** Opens what is to be sent and has no sender, as this server may be the one, and what is to obey controls. */
  async #openWanted(): Promise<void> {
    try {
      const wanted = [...(await showsWithoutSender(this.knex)), ...(await showsWithControls(this.knex))]
      for (const id of wanted) if (!this.#open.has(id)) await this.show(id)
    } catch (error) {
      log.warn(error, 'could not look for shows that are to be sent or to obey controls')
    }
  }

  shows(): Promise<ShowSummary[]> {
    return listShows(this.knex)
  }

  /** Makes a show with a plain stage, the usual fixture types and one cue list; throws RangeError for a name that is none. */
  async createShow(name: string, person: PersonId): Promise<ShowId> {
    const id = showId.parse(randomUUID())
    const input = { name, venue: PLAIN_VENUE, types: [...OSTREL_TYPES] }
    const outcome = runCommand(emptyShow(id), 'beginShow', input, commandId.parse(randomUUID()), {
      person,
      now: this.clock.read(),
    })
    if (!outcome.ok) throw new RangeError(outcome.refusal.message)
    await this.keepShow(applyChanges(emptyShow(id), outcome.changes))
    return id
  }

  /** Writes a whole show that was made elsewhere, with the files it keeps. */
  async keepShow(show: Show, files: Iterable<Uint8Array> = []): Promise<void> {
    await this.knex.transaction((transaction) => writeWholeShow(transaction, show, files))
  }

  /** Loads the demo show where there is no show at all. */
  async loadDemoWhenEmpty(): Promise<void> {
    await this.knex.transaction(async (transaction) => {
      await transaction.raw('select pg_advisory_xact_lock(7246)')
      if ((await listShows(transaction)).length > 0) return
      await writeWholeShow(transaction, buildSaltLantern('salt-lantern', Date.now()))
    })
  }

  #catchUp({ show, revision }: { show: string; revision: number }): void {
    const id = showId.safeParse(show)
    const open = id.success ? this.#open.get(id.data) : undefined
    open
      ?.then((opened) => opened?.live.catchUp(revision))
      .catch((error: unknown) => log.error(error, 'could not take in what another process wrote'))
  }

  async close(): Promise<void> {
    for (const timer of this.#looking) clearInterval(timer)
    const all = await Promise.all([...this.#open.values()].map((opening) => opening.catch(() => null)))
    for (const opened of all) opened?.follow.close()
    for (const opened of all) opened?.controls.close()
    await this.outputs.close()
    await this.inputs.close()
    await Promise.all(all.map((opened) => opened?.sending.close()))
    await this.#announcements.close()
    await this.knex.destroy()
  }
}
