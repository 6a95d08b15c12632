/**
 * Keeps the journal short. Of old work only that stays which undo can still come to need:
 *
 * - A step is *settled*, and can no longer be undone or redone, once it is older than an hour and
 *   than the last thousand entries, and its person has 200 newer steps to undo, or it was undone
 *   and other work came since, or it never could be undone.
 * - Of settled writes to a register only the last live one stays between unsettled ones, and the
 *   very first one, which tells what was there before, where no live one stands in its place.
 * - Entries and steps of which nothing is left go.
 *
 * What planning an undo reads of the rest is the same before and after (`History`).
 */
import type { Knex } from 'knex'
import { z } from 'zod'
import type { ShowId } from '#core/show/ids'

export interface Retention {
  /** Steps of each person that stay to be undone. */
  readonly steps: number
  /** Entries that always stay, and how old in seconds others must be. */
  readonly entries: number
  readonly seconds: number
  /** Entries that are looked at in one go, so that nobody waits long. */
  readonly atOnce: number
}

export const RETENTION: Retention = { steps: 200, entries: 1000, seconds: 3600, atOnce: 2000 }

const seqs = z.array(z.object({ seq: z.number() })).transform((rows) => rows.map(({ seq }) => seq))
const ids = z.array(z.object({ id: z.string() })).transform((rows) => rows.map(({ id }) => id))

/** Compacts what has grown old of a show that is locked; whether there is more to do. */
export async function compactJournal(
  transaction: Knex.Transaction,
  show: ShowId,
  { steps, entries, seconds, atOnce }: Retention,
): Promise<boolean> {
  const values = { show, entries, seconds, atOnce, steps }
  const ask = async (statement: string, more: Record<string, Knex.Value> = {}): Promise<unknown> => {
    const { rows } = await transaction.raw<{ rows: unknown }>(statement, { ...values, ...more })
    return rows
  }
  const [bounds] = z.array(z.object({ since: z.number(), until: z.number() })).parse(await ask(BOUNDS))
  if (!bounds || bounds.until <= bounds.since) return false
  const settled = ids.parse(await ask(SETTLE, bounds))
  const emptied = seqs.parse(await ask(FOLD, { settled }))
  const listed = seqs.parse(await ask(LISTED, bounds))
  const gone = [...new Set([...emptied, ...listed])]
  await ask(EMPTY_ENTRIES, { ...bounds, gone })
  await ask(EMPTY_STEPS, bounds)
  await transaction('show').where({ id: show }).update({ compacted_seq: bounds.until })
  return bounds.until - bounds.since >= atOnce
}

const BOUNDS = `select s.compacted_seq as since, least(s.revision - :entries, s.compacted_seq + :atOnce, coalesce(
    (select max(seq) from journal_entry e where e.show_id = s.id and e.seq > s.compacted_seq and e.seq <= s.compacted_seq + :atOnce
      and e.at <= clock_timestamp() - make_interval(secs => :seconds)), 0)) as until
  from show s where s.id = :show`

const SETTLE = `with last_done as (
    select person, max(last_seq) as seq from change_group where show_id = :show and undoable group by person
  ), far as (
    select person, seq from (select person, last_seq as seq, row_number() over (partition by person order by last_seq desc) as place
      from change_group where show_id = :show and undoable and live and not waived and not settled) ranked where place = :steps
  )
  update change_group g set settled = true where g.show_id = :show and not g.settled and g.last_seq <= :until and g.toggled_seq <= :until
    and (not g.undoable or g.waived
      or (not g.live and g.toggled_seq < (select seq from last_done d where d.person = g.person))
      or (g.live and g.last_seq < (select seq from far where far.person = g.person)))
  returning g.id`

/** Takes out writes that no plan of an undo reads; answers the entries they were of. */
const FOLD = `with concerned as (
    select distinct w.register from journal_entry e join journal_write w on w.show_id = e.show_id and w.seq = e.seq
    where e.show_id = :show and e.kind = 'do' and e.group_id = any(:settled)
  ), known as (
    select w.seq, w.place, w.register, g.settled, g.live,
      row_number() over (partition by w.register order by w.seq) = 1 as is_first
    from concerned c join journal_write w on w.show_id = :show and w.register = c.register
      join journal_entry e on e.show_id = w.show_id and e.seq = w.seq and e.kind = 'do'
      join change_group g on g.show_id = e.show_id and g.id = e.group_id
  ), counting as (
    select *, lead(settled and live) over (partition by register order by seq) as is_over from known
    where not settled or live or is_first
  ), gone as (
    select seq, place from known where settled and not live and not is_first
    union all select seq, place from counting where settled and is_over
  ), taken as (
    delete from journal_write w using gone where w.show_id = :show and w.seq = gone.seq and w.place = gone.place returning w.seq
  ) select distinct seq from taken`

/** What undo and redo wrote was for telling pages; it is no part of what is planned by. */
const LISTED = `with taken as (
    delete from journal_write w using journal_entry e where e.show_id = :show and e.seq > :since and e.seq <= :until and e.kind <> 'do'
      and w.show_id = e.show_id and w.seq = e.seq
  ) select seq from journal_entry e where e.show_id = :show and e.seq > :since and e.seq <= :until and e.kind <> 'do'`

const EMPTY_ENTRIES = `delete from journal_entry e where e.show_id = :show and e.seq = any(:gone) and e.seq <= :until
    and not exists (select from journal_write w where w.show_id = e.show_id and w.seq = e.seq)`

const EMPTY_STEPS = `delete from change_group g where g.show_id = :show and g.settled and g.last_seq <= :until
    and not exists (select from journal_entry e where e.show_id = g.show_id and e.group_id = g.id)`
