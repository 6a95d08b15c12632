/** The journal in the database. It only grows. */
import type { Knex } from 'knex'
import { z } from 'zod'
import { journalEntrySchema, type JournalEntry } from '#core/journal/entry'
import type { ShowId } from '#core/show/ids'

const BATCH = 5000

/** Absent is SQL null; a JSON null is the JSON value null. */
function column(value: unknown): string | null {
  return value === undefined ? null : JSON.stringify(value)
}

export async function appendEntry(transaction: Knex.Transaction, show: ShowId, entry: JournalEntry): Promise<void> {
  const { changes, group, mergeKey, ...rest } = entry
  await transaction('journal_entry').insert({ show_id: show, ...rest, group_id: group, merge_key: mergeKey })
  const rows = changes.map(({ register, before, after }, place) => ({
    show_id: show,
    seq: entry.seq,
    place,
    register,
    before: column(before),
    after: column(after),
  }))
  for (let i = 0; i < rows.length; i += BATCH) await transaction('journal_write').insert(rows.slice(i, i + BATCH))
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

/** The entries after a revision, in order. */
export async function entriesSince(knex: Knex, show: ShowId, seq: number): Promise<JournalEntry[]> {
  const entries = await knex('journal_entry').where({ show_id: show }).andWhere('seq', '>', seq).orderBy('seq')
  if (entries.length === 0) return []
  const writes = await knex('journal_write')
    .where({ show_id: show })
    .andWhere('seq', '>', seq)
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
