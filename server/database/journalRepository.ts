/** The journal in the database: what was done to a show, in order. */
import type { Knex } from 'knex'
import { z } from 'zod'
import { journalEntrySchema, type JournalEntry } from '#core/journal/entry'
import type { Touch } from '#core/journal/history'
import { personId, windowId, type CommandId, type ShowId } from '#core/show/ids'
import { announcementOf, CHANNEL } from './announcements'
import { stepStatement } from './stepRepository'

/** Absent is SQL null; a JSON null is the JSON value null. */
function column(value: unknown): string | null {
  return value === undefined ? null : JSON.stringify(value)
}

/**
 * Writes an entry with its writes and what it does to its step, brings the show to its revision and
 * announces that, all in one statement: a command is little more than its way to the database.
 */
export async function appendEntry(transaction: Knex.Transaction, show: ShowId, entry: JournalEntry): Promise<void> {
  const { changes, mergeKey, ...rest } = entry
  await transaction.raw(
    `with step as (${stepStatement(entry.kind)}),
      entry as (insert into journal_entry (show_id, seq, id, person, "window", at, kind, group_id, label, undoable, merge_key)
        values (:show, :seq, :id, :person, :window, :at, :kind, :group, :label, :undoable, :mergeKey)),
      writes as (insert into journal_write (show_id, seq, place, register, before, after)
        select :show, :seq, w.place - 1, w.register, cast(w.before as jsonb), cast(w.after as jsonb)
        from unnest(cast(:registers as text[]), cast(:befores as text[]), cast(:afters as text[]))
          with ordinality w (register, before, after, place)),
      shown as (update show set revision = :seq where id = :show)
    select pg_notify(:channel, :announcement)`,
    {
      ...rest,
      show,
      mergeKey,
      registers: changes.map(({ register }) => register),
      befores: changes.map(({ before }) => column(before)),
      afters: changes.map(({ after }) => column(after)),
      channel: CHANNEL,
      announcement: announcementOf(show, entry.seq),
    },
  )
}

const storedEntry = z.object({
  seq: z.number(),
  id: z.string(),
  person: z.string(),
  window: z.string(),
  at: z.date().transform((at) => at.toISOString()),
  kind: z.string(),
  group_id: z.string(),
  label: z.string(),
  undoable: z.boolean(),
  merge_key: z.string().nullable(),
})
const storedWrite = z.object({
  seq: z.number(),
  register: z.string(),
  before: z.string().nullable(),
  after: z.string().nullable(),
})

/** The entry a command wrote; null where there is none. */
export async function entryOf(knex: Knex, show: ShowId, id: CommandId): Promise<JournalEntry | null> {
  const row: { seq: number } | undefined = await knex('journal_entry').where({ show_id: show, id }).first('seq')
  if (!row) return null
  return (await entriesSince(knex, show, row.seq - 1, 1))[0] ?? null
}

/** Whether entries after a revision are no longer there one by one. */
export async function isCompacted(knex: Knex, show: ShowId, seq: number): Promise<boolean> {
  const row: unknown = await knex('show').where({ id: show }).andWhere('compacted_seq', '>', seq).first('id')
  return row !== undefined
}

const touched = z.object({ register: z.string(), seq: z.number(), person: personId, window: windowId })

/** The last touch of each register after a revision, of those that have one. */
export async function touchesSince(
  knex: Knex,
  show: ShowId,
  registers: readonly string[],
  seq: number,
): Promise<Map<string, Touch>> {
  const { rows } = await knex.raw<{ rows: unknown[] }>(
    `select distinct on (w.register) w.register, w.seq, e.person, e.window from journal_write w
      join journal_entry e on e.show_id = w.show_id and e.seq = w.seq
      where w.show_id = ? and w.register = any(?) and w.seq > ? order by w.register, w.seq desc`,
    [show, [...registers], seq],
  )
  return new Map(
    z
      .array(touched)
      .parse(rows)
      .map(({ register, ...touch }) => [register, touch]),
  )
}

/** The entries after a revision, in order, at most so many. */
export async function entriesSince(knex: Knex, show: ShowId, seq: number, most: number): Promise<JournalEntry[]> {
  const entries: { seq: number }[] = await knex('journal_entry')
    .where({ show_id: show })
    .andWhere('seq', '>', seq)
    .orderBy('seq')
    .limit(most)
  const last = entries.at(-1)
  if (!last) return []
  const writes = await knex('journal_write')
    .where({ show_id: show })
    .andWhere('seq', '>', seq)
    .andWhere('seq', '<=', last.seq)
    .orderBy(['seq', 'place'])
    // As text: a JSON null must stay apart from an absent value.
    .select('seq', 'register', knex.raw('before::text as before'), knex.raw('after::text as after'))
  const changesOf = new Map<number, { register: string; before?: unknown; after?: unknown }[]>()
  for (const stored of z.array(storedWrite).parse(writes)) {
    const changes = changesOf.get(stored.seq) ?? []
    changesOf.set(stored.seq, changes)
    changes.push({ register: stored.register, ...present('before', stored.before), ...present('after', stored.after) })
  }
  return z
    .array(storedEntry)
    .parse(entries)
    .map(({ group_id, merge_key, ...rest }) =>
      journalEntrySchema.parse({
        ...rest,
        group: group_id,
        mergeKey: merge_key,
        changes: changesOf.get(rest.seq) ?? [],
      }),
    )
}

function present(name: 'before' | 'after', text: string | null): { before?: unknown; after?: unknown } {
  if (text === null) return {}
  const value: unknown = JSON.parse(text)
  return { [name]: value }
}
