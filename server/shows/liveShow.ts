/**
 * One show in memory, in step with the database. Everything that changes it goes through here, one
 * at a time: lock the show's row, catch up with what other processes wrote, run the pure core
 * command, write rows and journal in one transaction, then tell every open page.
 */
import type { Knex } from 'knex'
import type { PlainOutcome, Refusal } from '#core/commands/command'
import { isCommandName, runCommand, type CommandName } from '#core/commands/registry'
import type { JournalEntry } from '#core/journal/entry'
import { Joining } from '#core/journal/joining'
import { RecentTouches } from '#core/journal/recentTouches'
import { applyChanges } from '#core/show/changes'
import type { CommandId, PersonId, ShowId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { checkedChange } from '#core/show/soundness'
import { compactJournal, RETENTION, type Retention } from '../database/compaction'
import { appendEntry, entriesSince, entryOf, isCompacted, touchesSince } from '../database/journalRepository'
import { lockShow, storedShow, writeTouched, type StoredShow } from '../database/showRepository'
import type { UndoState } from '#core/journal/undoState'
import { historyOf, undoStateOf } from '../database/stepRepository'
import { keepVersion } from '../database/versionRepository'
import { log } from '../http/log'
import { versionContentsOf } from '../live/snapshot'
import { commandPlan, type Ground } from './commandPlan'
import type { Asker, CommandRequest, Plan, ToggleRequest } from './plan'
import { unsoundRefusal } from './thingWording'
import { togglePlan } from './togglePlan'

export type Answer =
  | { readonly ok: true; readonly entry: JournalEntry | null; readonly note: string | null }
  | { readonly ok: false; readonly status: number; readonly refusal: Refusal }

export interface ShowListener {
  /** Gets every entry from now on, in order. */
  entry(entry: JournalEntry): void
  /** The show was read anew, because entries in between are no longer there one by one. */
  reloaded(): void
}

/** Entries of other processes that are taken in at a time. */
const AT_A_TIME = 500
/** Entries after which the journal is shortened. */
const COMPACT_EVERY = 500

/** Whether it was done long ago can no longer be told, so it is not done again. */
const TOO_OLD: Refusal = {
  code: 'changed meanwhile',
  message: 'This was asked for too long ago. Look at the show as it is now, and do it again.',
}

export class LiveShow {
  readonly #knex: Knex
  #show: Show
  #revision: number
  #touches: RecentTouches
  #joining = new Joining()
  readonly #undoStates = new Map<PersonId, Promise<UndoState>>()
  readonly #listeners = new Set<ShowListener>()
  #queue: Promise<unknown> = Promise.resolve()

  private constructor(knex: Knex, { show, revision }: StoredShow) {
    this.#knex = knex
    this.#show = show
    this.#revision = revision
    this.#touches = new RecentTouches(revision)
  }

  /** Loads a show; null when there is none of this id. */
  static async open(knex: Knex, id: ShowId): Promise<LiveShow | null> {
    const stored = await storedShow(knex, id)
    return stored && new LiveShow(knex, stored)
  }

  get show(): Show {
    return this.#show
  }

  get revision(): number {
    return this.#revision
  }

  /** How many listen. */
  get listeners(): number {
    return this.#listeners.size
  }

  /** What a person can undo and redo next. */
  undoState(person: PersonId): Promise<UndoState> {
    const known = this.#undoStates.get(person)
    if (known) return known
    const asked = undoStateOf(this.#knex, this.#show.id, person)
    this.#undoStates.set(person, asked)
    asked.catch(() => {
      if (this.#undoStates.get(person) === asked) this.#undoStates.delete(person)
    })
    return asked
  }

  /** Returns how to stop listening. */
  subscribe(listener: ShowListener): () => void {
    this.#listeners.add(listener)
    return () => this.#listeners.delete(listener)
  }

  run(request: CommandRequest): Promise<Answer> {
    const { id, name, input, person } = request
    if (!isCommandName(name))
      return Promise.resolve(refused(400, { code: 'unknown command', message: `There is no command “${name}”.` }))
    return this.runElsewhere({ ...request, name }, (show, now) => runCommand(show, name, input, id, { person, now }))
  }

  /** Runs a command whose outcome is worked out elsewhere, of the show as it is then; nobody changes it meanwhile. */
  runElsewhere(
    request: Omit<CommandRequest, 'input'> & { readonly name: CommandName },
    outcomeOf: (show: Show, now: number) => PlainOutcome | Promise<PlainOutcome>,
  ): Promise<Answer> {
    return this.#inOrder(request, async (transaction, now) =>
      commandPlan(this.#ground(transaction), request, now, await outcomeOf(this.#show, now)),
    )
  }

  toggle(request: ToggleRequest): Promise<Answer> {
    return this.#inOrder(request, async (transaction) =>
      togglePlan(this.#show, await historyOf(transaction, this.#show.id, request.group), request),
    )
  }

  /** Takes in what other processes wrote, up to a revision where that is known. */
  catchUp(revision = Infinity): Promise<void> {
    return this.#enqueue(async () => {
      // What is announced is mostly what was done here.
      if (this.#revision < revision) await this.#catchUp(this.#knex)
    })
  }

  /** Shortens the journal by what nobody can undo any more. */
  async compact(retention: Retention = RETENTION): Promise<void> {
    const compactOnce = () =>
      this.#knex.transaction(async (transaction) => {
        const isThere = await transaction('show').where({ id: this.#show.id }).forUpdate().first('id')
        return isThere ? compactJournal(transaction, this.#show.id, retention) : false
      })
    while (await this.#enqueue(compactOnce));
  }

  #enqueue<T>(work: () => Promise<T>): Promise<T> {
    const next = this.#queue.then(work, work)
    this.#queue = next.catch(() => undefined)
    return next
  }

  /** The one way a change is made. A command id seen before answers with what it did then. */
  #inOrder(
    { id, seenRevision }: Asker & { readonly id: CommandId },
    plan: (transaction: Knex.Transaction, now: number) => Promise<Plan>,
  ): Promise<Answer> {
    return this.#enqueue(async () => {
      const done = await this.#knex.transaction(async (transaction): Promise<Answer & { after?: Show }> => {
        const locked = await lockShow(transaction, this.#show.id, id)
        if (!locked) return refused(404, { code: 'not found', message: 'This show is no longer there.' })
        if (locked.revision > this.#revision) await this.#catchUp(transaction)
        if (locked.isDone) return { ok: true, entry: await entryOf(transaction, this.#show.id, id), note: null }
        if (seenRevision < locked.compacted) return refused(409, TOO_OLD)
        const planned = await plan(transaction, locked.now)
        if ('refused' in planned) return refused(planned.status, planned.refused)
        if ('nothing' in planned) return { ok: true, entry: null, note: planned.nothing }
        const at = new Date(locked.now).toISOString()
        const entry: JournalEntry = { ...planned.entry, seq: locked.revision + 1, at }
        const checked = checkedChange(this.#show, entry.changes)
        if (!checked.ok) return refused(422, unsoundRefusal(this.#show, checked))
        const { after } = checked
        if (planned.isBig) await this.#keepBefore(transaction, entry, locked.revision)
        await writeTouched(transaction, after, entry.changes)
        await appendEntry(transaction, this.#show.id, entry)
        return { ok: true, entry, note: planned.note, after }
      })
      const { after, ...answer } = done
      if (answer.ok && answer.entry && after) this.#accept(answer.entry, after)
      if (after && this.#revision % COMPACT_EVERY === 0) this.#compactLater()
      return answer
    })
  }

  #compactLater(): void {
    this.compact().catch((error: unknown) => log.error(error, 'the journal could not be shortened'))
  }

  /** Keeps the show as it was before a big change. */
  async #keepBefore(
    transaction: Knex.Transaction,
    { id, label, person }: JournalEntry,
    revision: number,
  ): Promise<void> {
    const name = `Before: ${label}`.slice(0, 120)
    const contents = await versionContentsOf(this, this.#show)
    await keepVersion(transaction, this.#show.id, { id, name, person, automatic: true, revision, contents })
  }

  async #catchUp(knex: Knex): Promise<void> {
    for (;;) {
      const next = await entriesSince(knex, this.#show.id, this.#revision, AT_A_TIME)
      if (next.length === 0) return
      if (next[0]?.seq !== this.#revision + 1 || (await isCompacted(knex, this.#show.id, this.#revision)))
        return this.#reload()
      for (const entry of next) this.#accept(entry, applyChanges(this.#show, entry.changes))
    }
  }

  /** So much was done elsewhere that it is no longer told step by step. */
  async #reload(): Promise<void> {
    const stored = await storedShow(this.#knex, this.#show.id)
    if (!stored) return
    this.#show = stored.show
    this.#revision = stored.revision
    this.#touches = new RecentTouches(stored.revision)
    this.#joining = new Joining()
    this.#undoStates.clear()
    for (const listener of this.#listeners) listener.reloaded()
  }

  #accept(entry: JournalEntry, after: Show): void {
    this.#show = after
    this.#revision = entry.seq
    this.#touches.add(entry)
    this.#joining.add(entry)
    this.#noteUndo(entry)
    for (const listener of this.#listeners) listener.entry(entry)
  }

  #ground(transaction: Knex.Transaction): Ground {
    return {
      show: this.#show,
      touches: this.#touches,
      joining: this.#joining,
      touchesSince: (registers, seen) => touchesSince(transaction, this.#show.id, registers, seen),
    }
  }

  /** What a new step makes of one’s undo is known; after the rest it is asked for again. */
  #noteUndo({ person, kind, undoable, group, label }: JournalEntry): void {
    if (kind === 'do' && !undoable) return
    if (kind === 'do') this.#undoStates.set(person, Promise.resolve({ undo: { group, label }, redo: null }))
    else this.#undoStates.delete(person)
  }
}

function refused(status: number, refusal: Refusal): Answer {
  return { ok: false, status, refusal }
}
