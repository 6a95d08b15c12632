/**
 * Many rows at once. A whole show has hundreds of thousands, and looking up what each points at,
 * one by one, takes longest by far: where we may, that is put off and asked once for each key.
 */
import type { Knex } from 'knex'
import { z } from 'zod'
import type { ShowId } from '#core/show/ids'
import type { Row } from './columns'

const BATCH = 20_000

/** Inserts new rows, which all have the same columns. */
export function insertMany(transaction: Knex.Transaction, table: string, rows: readonly Row[]): Promise<void> {
  return send(transaction, rows, (names) => insertion(table, names))
}

/** Writes rows, which all have the same columns, in place of those with the same show and id. */
export function upsertMany(transaction: Knex.Transaction, table: string, rows: readonly Row[]): Promise<void> {
  return send(transaction, rows, (names) => {
    const kept = names.filter((name) => name !== 'show_id' && name !== 'id')
    const set = kept.map((name) => `"${name}" = excluded."${name}"`).join(', ')
    return `${insertion(table, names)} on conflict (show_id, id) do update set ${set}`
  })
}

function insertion(table: string, names: readonly string[]): string {
  const columns = names.map((name) => `"${name}"`).join(', ')
  return `insert into "${table}" (${columns}) select ${columns} from jsonb_populate_recordset(null::"${table}", ?)`
}

async function send(
  transaction: Knex.Transaction,
  rows: readonly Row[],
  statement: (names: readonly string[]) => string,
): Promise<void> {
  const [first] = rows
  if (!first) return
  const written = statement(Object.keys(first))
  let sent: Promise<unknown> = Promise.resolve()
  for (let i = 0; i < rows.length; i += BATCH) {
    // The next batch is written out while the database takes this one.
    const batch = JSON.stringify(rows.slice(i, i + BATCH))
    await sent
    sent = Promise.resolve(transaction.raw(written, [batch]))
    sent.catch(() => undefined)
  }
  await sent
}

/** Puts off looking up what rows point at until `checkKeys`, where this role may. */
export async function putOffKeys(transaction: Knex.Transaction): Promise<boolean> {
  const known = await transaction.raw<{ rows: unknown[] }>(
    `select to_regprocedure('has_parameter_privilege(text,text)') is not null as known`,
  )
  if (!flag.parse(known.rows[0]).known) return false
  const allowed = await transaction.raw<{ rows: unknown[] }>(
    `select has_parameter_privilege('session_replication_role', 'set') as known`,
  )
  if (!flag.parse(allowed.rows[0]).known) return false
  await transaction.raw('set local session_replication_role = replica')
  return true
}

const flag = z.object({ known: z.boolean() })
const key = z.object({
  name: z.string(),
  child: z.string(),
  parent: z.string(),
  columns: z.array(z.string()),
  pointed: z.array(z.string()),
})

const NAMES = (
  relation: string,
  numbers: string,
) => `array(select attname::text from unnest(${numbers}) with ordinality n (number, place)
  join pg_attribute a on a.attrelid = ${relation} and a.attnum = n.number order by place)`
const KEYS = `select conname as name, conrelid::regclass::text as child, confrelid::regclass::text as parent,
    ${NAMES('conrelid', 'conkey')} as columns, ${NAMES('confrelid', 'confkey')} as pointed
  from pg_constraint where contype = 'f' and connamespace = current_schema()::regnamespace`

/**
 * Looks up once for every foreign key, by tables and not row by row, what the rows of a show point at;
 * throws for one that points at nothing.
 */
export async function checkKeys(transaction: Knex.Transaction, show: ShowId): Promise<void> {
  await transaction.raw('set local session_replication_role = origin; set local enable_nestloop = off')
  const { rows } = await transaction.raw<{ rows: unknown[] }>(KEYS)
  for (const { name, child, parent, columns, pointed } of z.array(key).parse(rows)) {
    if (!columns.includes('show_id')) continue
    const joined = columns.map((column, i) => `p."${pointed[i]}" = c."${column}"`).join(' and ')
    const set = columns.map((column) => `c."${column}" is not null`).join(' and ')
    const dangling = await transaction.raw<{ rows: unknown[] }>(
      `select 1 from ${child} c where c.show_id = ? and ${set} and not exists (select from ${parent} p where ${joined}) limit 1`,
      [show],
    )
    if (dangling.rows.length > 0) throw new RangeError(`rows of ${child} point at nothing: ${name}`)
  }
  await transaction.raw('set local enable_nestloop = on')
}
