/**
 * One show in memory, in step with the database. Everything that changes it goes through here, one
 * at a time: lock the show's row, catch up with what other processes wrote, run the pure core
 * command, write rows and journal in one transaction, then tell every open page.
 */
import type { Knex } from 'knex'
import type { Refusal } from '#core/commands/command'
import { isCommandName, COMMANDS, runCommand, type CommandName } from '#core/commands/registry'
import { toggleStep } from '#core/journal/toggle'
import type { Kept } from '#core/journal/undo'
import { groupToJoin, JournalIndex, nextRedo, nextUndo, type ChangeGroup } from '#core/journal/journalIndex'
import type { JournalEntry } from '#core/journal/entry'
import { applyChanges, type ChangeSet } from '#core/show/changes'
import {
  changeGroupId,
  type ChangeGroupId,
  type CommandId,
  type PersonId,
  type ShowId,
  type WindowId,
} from '#core/show/ids'
import type { Show } from '#core/show/show'
import { checkedChange } from '#core/show/soundness'
import { CHANNEL } from '../database/announcements'
import { appendEntry, entriesSince } from '../database/journalRepository'
import { loadShow, lockShow, writeTouched } from '../database/showRepository'
import { keepVersion } from '../database/versionRepository'
import { unsoundRefusal } from './thingWording'
import { anywayInWords, leftInWords, toggledInWords, toggleRefusalInWords } from './undoWording'

/** Who asks, from which window, and the last revision that window has seen. */
export interface Asker {
  readonly person: PersonId
  readonly window: WindowId
  readonly seenRevision: number
}

export interface CommandRequest extends Asker {
  readonly id: CommandId
  readonly name: string
  readonly input: unknown
}

export interface ToggleRequest extends Asker {
  readonly id: CommandId
  readonly direction: 'undo' | 'redo'
  readonly group: ChangeGroupId
  /** What to do when taking back would harm someone else's work. */
  readonly how: 'ask' | 'anyway' | 'waive'
}

export type Answer =
  | { readonly ok: true; readonly entry: JournalEntry | null; readonly note: string | null }
  | { readonly ok: false; readonly status: number; readonly refusal: Refusal }

/** What a person can undo and redo next, by group and in words. */
export interface UndoState {
  readonly undo: { readonly group: ChangeGroupId; readonly label: string } | null
  readonly redo: { readonly group: ChangeGroupId; readonly label: string } | null
}

type Listener = (entry: JournalEntry) => void

interface Step {
  readonly entry: Omit<JournalEntry, 'seq' | 'at'>
  readonly note: string | null
  /** Whether the show is kept as it is before. */
  readonly isBig?: boolean
}
type Plan = Step | { readonly refused: Refusal; readonly status: number } | { readonly nothing: string | null }

export class LiveShow {
  readonly #knex: Knex
  #show: Show
  #revision: number
  readonly #index = new JournalIndex()
  readonly #listeners = new Set<Listener>()
  #queue: Promise<unknown> = Promise.resolve()

  private constructor(knex: Knex, show: Show, revision: number, entries: readonly JournalEntry[]) {
    this.#knex = knex
    this.#show = show
    this.#revision = revision
    for (const entry of entries) this.#index.add(entry)
  }

  /** Loads a show and its journal; null when there is none of this id. */
  static async open(knex: Knex, id: ShowId): Promise<LiveShow | null> {
    return knex.transaction(
      async (transaction) => {
        const stored = await loadShow(transaction, id)
        if (!stored) return null
        return new LiveShow(knex, stored.show, stored.revision, await entriesSince(transaction, id, 0))
      },
      { isolationLevel: 'repeatable read', readOnly: true },
    )
  }

  get show(): Show {
    return this.#show
  }

  get revision(): number {
    return this.#revision
  }

  undoState(person: PersonId): UndoState {
    const named = (group: ChangeGroup | null) => group && { group: group.id, label: group.label }
    return { undo: named(nextUndo(this.#index, person)), redo: named(nextRedo(this.#index, person)) }
  }

  /** Calls back for every entry from now on; returns how to stop. */
  subscribe(listener: Listener): () => void {
    this.#listeners.add(listener)
    return () => this.#listeners.delete(listener)
  }

  run(request: CommandRequest): Promise<Answer> {
    return this.#inOrder(request.id, () => this.#planCommand(request))
  }

  toggle(request: ToggleRequest): Promise<Answer> {
    return this.#inOrder(request.id, () => this.#planToggle(request))
  }

  /** Takes in what other processes wrote. */
  catchUp(): Promise<void> {
    return this.#enqueue(() => this.#takeIn(this.#knex))
  }

  #enqueue<T>(work: () => Promise<T>): Promise<T> {
    const next = this.#queue.then(work, work)
    this.#queue = next.catch(() => undefined)
    return next
  }

  /** The one way a change is made. A command id seen before answers with what it did then. */
  #inOrder(id: CommandId, plan: () => Plan): Promise<Answer> {
    return this.#enqueue(async () => {
      const done = await this.#knex.transaction(async (transaction): Promise<Answer & { after?: Show }> => {
        const revision = await lockShow(transaction, this.#show.id)
        if (revision === null) return refused(404, { code: 'not found', message: 'This show is no longer there.' })
        await this.#takeIn(transaction)
        const known = await this.#entryOf(transaction, id)
        if (known) return { ok: true, entry: known, note: null }
        const planned = plan()
        if ('refused' in planned) return refused(planned.status, planned.refused)
        if ('nothing' in planned) return { ok: true, entry: null, note: planned.nothing }
        const entry: JournalEntry = { ...planned.entry, seq: revision + 1, at: new Date().toISOString() }
        const checked = checkedChange(this.#show, entry.changes)
        if (!checked.ok) return refused(422, unsoundRefusal(this.#show, checked))
        const { after } = checked
        if (planned.isBig) await this.#keepBefore(transaction, entry, revision)
        await writeTouched(transaction, after, entry.changes, entry.seq)
        await appendEntry(transaction, this.#show.id, entry)
        await transaction.raw('select pg_notify(?, ?)', [CHANNEL, this.#show.id])
        return { ok: true, entry, note: planned.note, after }
      })
      const { after, ...answer } = done
      if (answer.ok && answer.entry && after) this.#accept(answer.entry, after)
      return answer
    })
  }

  /** Keeps the show as it was before a big change. */
  #keepBefore(transaction: Knex.Transaction, { id, label, person }: JournalEntry, revision: number): Promise<void> {
    const name = `Before: ${label}`.slice(0, 120)
    return keepVersion(transaction, this.#show, { id, name, person, automatic: true, revision })
  }

  async #entryOf(transaction: Knex.Transaction, id: CommandId): Promise<JournalEntry | null> {
    const row: { seq: number } | undefined = await transaction('journal_entry')
      .where({ show_id: this.#show.id, id })
      .first('seq')
    if (!row) return null
    return (await entriesSince(transaction, this.#show.id, row.seq - 1))[0] ?? null
  }

  async #takeIn(knex: Knex): Promise<void> {
    for (const entry of await entriesSince(knex, this.#show.id, this.#revision))
      this.#accept(entry, applyChanges(this.#show, entry.changes))
  }

  #accept(entry: JournalEntry, after: Show): void {
    this.#show = after
    this.#revision = entry.seq
    this.#index.add(entry)
    for (const listener of this.#listeners) listener(entry)
  }

  #planCommand({ id, name, input, person, window, seenRevision }: CommandRequest): Plan {
    if (!isCommandName(name))
      return { refused: { code: 'unknown command', message: `There is no command “${name}”.` }, status: 400 }
    const outcome = runCommand(this.#show, name, input, id, { person, now: Date.now() })
    if (!outcome.ok) return { refused: outcome.refusal, status: 422 }
    if (outcome.changes.length === 0) return { nothing: null }
    const stale = this.#writtenByOthersSince(outcome.changes, window, seenRevision)
    if (stale) return { refused: stale, status: 409 }
    const { undoable } = COMMANDS[name]
    const mergeKey = outcome.mergeKey ?? null
    const registers = outcome.changes.map((change) => change.register)
    const joined =
      undoable && groupToJoin(this.#index, { person, window, mergeKey, at: new Date().toISOString(), registers })
    const group = joined ? joined.id : changeGroupId.parse(id)
    return {
      entry: {
        id,
        person,
        window,
        kind: 'do',
        group,
        label: outcome.label,
        undoable,
        mergeKey,
        changes: outcome.changes,
      },
      note: null,
      isBig: isBigChange(name, outcome.changes),
    }
  }

  /** A command must not overwrite what its window had not seen. Its own earlier writes it knows. */
  #writtenByOthersSince(changes: ChangeSet, window: WindowId, seen: number): Refusal | null {
    for (const { register } of changes) {
      const last = this.#index.lastTouched.get(register)
      if (!last || last.seq <= seen || last.window === window) continue
      const who = this.#show.all.person.get(last.person)?.name ?? 'Someone else'
      return {
        code: 'changed meanwhile',
        message: `${who} changed this a moment ago. Look at it as it is now, and do it again.`,
      }
    }
    return null
  }

  #planToggle({ id, person, window, direction, group, how }: ToggleRequest): Plan {
    const target = this.#index.groups.get(group)
    if (!target || target.person !== person)
      return { refused: { code: 'unknown step', message: 'This step is not one of yours.' }, status: 404 }
    if (target.live !== (direction === 'undo') || target.waived) return { nothing: null }
    const step = toggleStep(this.#show, this.#index, { group, direction, how })
    const own = { id, person, window, mergeKey: null }
    switch (step.kind) {
      case 'toggle':
        return this.#toggled({ ...own, group }, direction, target, step)
      case 'waive':
        return {
          entry: { ...own, group, kind: 'waive', label: `leave ${target.label}`, undoable: false, changes: [] },
          note: step.isLeft ? leftInWords(direction, target) : null,
        }
      case 'anyway':
        return {
          entry: {
            ...own,
            group: changeGroupId.parse(id),
            kind: 'do',
            label: `${direction === 'undo' ? 'take back' : 'do again'} ${target.label} all the same`,
            undoable: true,
            changes: step.changes,
          },
          note: anywayInWords(direction, target, step.along),
        }
      case 'refused':
        return {
          refused: {
            code: step.anyway ? 'harms others' : 'cannot stand',
            message: toggleRefusalInWords(this.#show, direction, target, step),
          },
          status: 409,
        }
    }
  }

  #toggled(
    base: Pick<JournalEntry, 'id' | 'person' | 'window' | 'group' | 'mergeKey'>,
    kind: 'undo' | 'redo',
    target: ChangeGroup,
    { changes, kept }: { readonly changes: ChangeSet; readonly kept: readonly Kept[] },
  ): Plan {
    const entry = { ...base, kind, label: target.label, undoable: false, changes }
    return { entry, note: toggledInWords(this.#show, kind, target, kept, changes.length) }
  }
}

/** Commands after which one may want the whole show back. */
const BIG: ReadonlySet<string> = new Set<CommandName>([
  'deleteCueList',
  'deleteCues',
  'deleteFixtures',
  'deleteHang',
  'deletePalettes',
  'deleteType',
  'importPalettes',
  'importRig',
  'replaceFixture',
  'replacePaletteInCues',
  'restoreShow',
  'switchVenue',
])
/** Registers beyond which any work counts as big. */
const MANY_WRITES = 400

function isBigChange(name: CommandName, changes: ChangeSet): boolean {
  return BIG.has(name) || (COMMANDS[name].undoable && changes.length > MANY_WRITES)
}

function refused(status: number, refusal: Refusal): Answer {
  return { ok: false, status, refusal }
}
