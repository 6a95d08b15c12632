/** Shows in the database: reading them whole, and writing what a change set touches. */
import type { Knex } from 'knex'
import { z } from 'zod'
import { touchedBy, type ChangeSet } from '#core/show/changes'
import { KINDS, type EntityOf, type Kind } from '#core/show/kinds'
import { showId, type CommandId, type ShowId } from '#core/show/ids'
import { emptyShow, type Collections, type Show } from '#core/show/show'
import { checkKeys, insertMany, putOffKeys, upsertMany } from './bulk'
import type { Row } from './columns'
import { putFiles } from './fileRepository'
import { columnNames, rowReader, tableName, toRow } from './tables'

/** Ids sent in one statement; PostgreSQL takes at most 65,535 parameters. */
const BATCH = 1000

export interface StoredShow {
  readonly show: Show
  readonly revision: number
}

export interface ShowSummary {
  readonly id: string
  readonly name: string
  readonly venue: string
  readonly revision: number
}

export async function listShows(knex: Knex): Promise<ShowSummary[]> {
  return knex('show')
    .join('show_record', 'show_record.show_id', 'show.id')
    .join('venue', function () {
      this.on('venue.show_id', 'show.id').andOn('venue.id', 'show_record.venue')
    })
    .orderBy('show.created_at')
    .select('show.id', 'show_record.name', { venue: 'venue.name' }, 'show.revision')
}

/** The show in which something was done last, or that was made last; null where there is none. */
export async function lastChangedShow(knex: Knex): Promise<ShowId | null> {
  const { rows } = await knex.raw<{ rows: unknown[] }>(
    `select s.id from show s
      left join lateral (select at from journal_entry e where e.show_id = s.id order by seq desc limit 1) last on true
      order by coalesce(last.at, s.created_at) desc limit 1`,
  )
  return rows.length === 0 ? null : z.object({ id: showId }).parse(rows[0]).id
}

export async function createShowRow(knex: Knex, id: ShowId): Promise<void> {
  await knex('show').insert({ id })
}

/** The show as it stands, or null; call in a transaction for one consistent picture. */
export async function loadShow(knex: Knex, id: ShowId): Promise<StoredShow | null> {
  const head: { revision: number } | undefined = await knex('show').where({ id }).first('revision')
  if (!head) return null
  let all: Collections = emptyShow(id).all
  for (const kind of KINDS) all = { ...all, [kind]: await loadKind(knex, id, kind) }
  return { show: { id, all }, revision: head.revision }
}

/** The show as it stands, in one consistent picture; null when there is none. */
export function storedShow(knex: Knex, id: ShowId): Promise<StoredShow | null> {
  return knex.transaction((transaction) => loadShow(transaction, id), {
    isolationLevel: 'repeatable read',
    readOnly: true,
  })
}

/** Rows read at a time: reading them holds nobody else up for long. */
const SLICE = 4000
const slice = z.object({ rows: z.array(z.array(z.unknown())).nullable() })

async function loadKind<K extends Kind>(knex: Knex, show: ShowId, kind: K): Promise<Map<string, EntityOf[K]>> {
  const names = ['id', ...columnNames(kind)]
  const list = names.map((name) => `"${name}"`).join(', ')
  // Lists of values in one JSON are read many times quicker than rows.
  const statement = `select json_agg(json_build_array(${list}) order by id) as rows from (
    select ${list} from "${tableName(kind)}" where show_id = ? and id > ? order by id limit ${SLICE}) s`
  const read = rowReader(kind)
  const entities = new Map<string, EntityOf[K]>()
  const after = async (last: unknown) => {
    const found = await knex.raw<{ rows: unknown[] }>(statement, [show, String(last)])
    return slice.parse(found.rows[0]).rows ?? []
  }
  let next: unknown[][] | null = await after('')
  while (next) {
    const rows: unknown[][] = next
    // The database works on the next slice while this one is read.
    const coming = rows.length === SLICE ? after(rows.at(-1)?.[0]) : null
    coming?.catch(() => undefined)
    for (const values of rows) {
      const row: Row = {}
      for (const [i, name] of names.entries()) row[name] = values[i]
      entities.set(String(values[0]), read(row))
    }
    next = await coming
  }
  return entities
}

/** A show that is locked: what it stands at, by the clock all servers share, and whether a command was done. */
export interface LockedShow {
  readonly revision: number
  /** Milliseconds since 1970. */
  readonly now: number
  readonly isDone: boolean
  /** Entries up to this one are no longer all there. */
  readonly compacted: number
}

const lockedShow = z.object({
  revision: z.number(),
  now: z.coerce.number(),
  isDone: z.boolean(),
  compacted: z.number(),
})

/** Locks a show for writing until the transaction ends; null when there is none. `command` is what is about to be done. */
export async function lockShow(
  transaction: Knex.Transaction,
  id: ShowId,
  command: CommandId,
): Promise<LockedShow | null> {
  const { rows } = await transaction.raw<{ rows: unknown[] }>(
    `select s.revision, s.compacted_seq as compacted, floor(extract(epoch from clock_timestamp()) * 1000) as now,
      exists (select from journal_entry e where e.show_id = s.id and e.id = ?) as "isDone"
      from show s where s.id = ? for update`,
    [command, id],
  )
  return rows.length === 0 ? null : lockedShow.parse(rows[0])
}

/** Writes every entity a change set touched as it is afterwards, and takes out those that are gone. */
export async function writeTouched(transaction: Knex.Transaction, after: Show, changes: ChangeSet): Promise<void> {
  for (const [kind, ids] of touchedBy(changes)) await writeKind(transaction, after, kind, ids)
}

async function writeKind<K extends Kind>(
  transaction: Knex.Transaction,
  after: Show,
  kind: K,
  ids: ReadonlySet<string>,
) {
  const table = tableName(kind)
  const gone: string[] = []
  const rows: Row[] = []
  for (const id of ids) {
    const entity = after.all[kind].get(id)
    if (entity === undefined) gone.push(id)
    else rows.push({ show_id: after.id, id, ...toRow(kind, entity) })
  }
  for (let i = 0; i < gone.length; i += BATCH)
    await transaction(table)
      .where({ show_id: after.id })
      .whereIn('id', gone.slice(i, i + BATCH))
      .delete()
  await upsertMany(transaction, table, rows)
}

/** Writes a whole show that was made elsewhere, such as the demo, with the files it keeps. */
export async function writeWholeShow(
  transaction: Knex.Transaction,
  show: Show,
  files: Iterable<Uint8Array> = [],
): Promise<void> {
  const isPutOff = await putOffKeys(transaction)
  await createShowRow(transaction, show.id)
  await putFiles(transaction, show.id, files)
  for (const kind of KINDS) await insertKind(transaction, show, kind)
  if (isPutOff) await checkKeys(transaction, show.id)
}

async function insertKind<K extends Kind>(transaction: Knex.Transaction, show: Show, kind: K): Promise<void> {
  const rows = Array.from(show.all[kind], ([id, entity]) => ({ show_id: show.id, id, ...toRow(kind, entity) }))
  await insertMany(transaction, tableName(kind), rows)
}
