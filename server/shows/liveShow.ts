/**
 * One show in memory, in step with the database. Everything that changes it goes through here, one
 * at a time: lock the show's row, catch up with what other processes wrote, run the pure core
 * command, write rows and journal in one transaction, then tell every open page.
 */
import type { Knex } from 'knex'
import type { PlainOutcome, Refusal } from '#core/commands/command'
import { isCommandName, COMMANDS, runCommand, type CommandName } from '#core/commands/registry'
import { toggleStep } from '#core/journal/toggle'
import type { Kept } from '#core/journal/undo'
import type { JournalEntry } from '#core/journal/entry'
import type { ChangeGroup } from '#core/journal/history'
import { Joining } from '#core/journal/joining'
import { RecentTouches } from '#core/journal/recentTouches'
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
import { compactJournal, RETENTION, type Retention } from '../database/compaction'
import { appendEntry, entriesSince, entryOf, isCompacted, touchesSince } from '../database/journalRepository'
import { lockShow, storedShow, writeTouched, type StoredShow } from '../database/showRepository'
import type { UndoState } from '#core/journal/undoState'
import { historyOf, undoStateOf } from '../database/stepRepository'
import { keepVersion } from '../database/versionRepository'
import { log } from '../http/log'
import { versionOf } from '../live/snapshot'
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

export interface ShowListener {
  /** Gets every entry from now on, in order. */
  entry(entry: JournalEntry): void
  /** The show was read anew, because entries in between are no longer there one by one. */
  reloaded(): void
}

interface Step {
  readonly entry: Omit<JournalEntry, 'seq' | 'at'>
  readonly note: string | null
  /** Whether the show is kept as it is before. */
  readonly isBig?: boolean
}
type Plan = Step | { readonly refused: Refusal; readonly status: number } | { readonly nothing: string | null }

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
      this.#planCommand(transaction, request, now, await outcomeOf(this.#show, now)),
    )
  }

  toggle(request: ToggleRequest): Promise<Answer> {
    return this.#inOrder(request, (transaction) => this.#planToggle(transaction, request))
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
    const contents = await versionOf(this, this.#show)
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

  /** What a new step makes of one’s undo is known; after the rest it is asked for again. */
  #noteUndo({ person, kind, undoable, group, label }: JournalEntry): void {
    if (kind === 'do' && !undoable) return
    if (kind === 'do') this.#undoStates.set(person, Promise.resolve({ undo: { group, label }, redo: null }))
    else this.#undoStates.delete(person)
  }

  async #planCommand(
    transaction: Knex.Transaction,
    { id, name, person, window, seenRevision }: Asker & { readonly id: CommandId; readonly name: CommandName },
    now: number,
    outcome: PlainOutcome,
  ): Promise<Plan> {
    if (!outcome.ok) return { refused: outcome.refusal, status: 422 }
    if (outcome.changes.length === 0) return { nothing: null }
    const registers = outcome.changes.map((change) => change.register)
    const who = await this.#writtenByOthersSince(transaction, registers, window, seenRevision)
    if (who !== null) return { refused: changedMeanwhile(outcome.label, who), status: 409 }
    const { undoable } = COMMANDS[name]
    const mergeKey = outcome.mergeKey ?? null
    const at = new Date(now).toISOString()
    const joined = undoable ? this.#joining.groupFor({ person, window, mergeKey, at, registers }) : null
    const group = joined ?? changeGroupId.parse(id)
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

  /**
   * Whose work a command would overwrite that its window had not seen; null for nobody’s. Its own
   * earlier writes it knows.
   */
  async #writtenByOthersSince(
    transaction: Knex.Transaction,
    registers: readonly string[],
    window: WindowId,
    seen: number,
  ): Promise<string | null> {
    const isKnown = seen >= this.#touches.knownSince
    const read = isKnown ? this.#touches : await touchesSince(transaction, this.#show.id, registers, seen)
    for (const register of registers) {
      const last = read.get(register)
      if (!last || last.seq <= seen || last.window === window) continue
      return this.#show.all.person.get(last.person)?.name ?? 'Someone else'
    }
    return null
  }

  async #planToggle(
    transaction: Knex.Transaction,
    { id, person, window, direction, group, how }: ToggleRequest,
  ): Promise<Plan> {
    const history = await historyOf(transaction, this.#show.id, group)
    const target = history?.groups.get(group)
    if (!history || !target || target.person !== person)
      return { refused: { code: 'unknown step', message: 'This step is not one of yours.' }, status: 404 }
    if (target.live !== (direction === 'undo') || target.waived) return { nothing: null }
    const step = toggleStep(this.#show, history, { group, direction, how })
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

const changedMeanwhile = (label: string, who: string): Refusal => ({
  code: 'changed meanwhile',
  message: `“${label}” was not done: ${who} changed this meanwhile. Look at it as it is now, and do it again.`,
})

function refused(status: number, refusal: Refusal): Answer {
  return { ok: false, status, refusal }
}
