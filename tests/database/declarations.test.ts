import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Knex } from 'knex'
import { z } from 'zod'
import { LISTED_ATTRIBUTES } from '#core/attributes/attribute'
import { declarationOf, KINDS, referencesOf, type Kind } from '#core/show/kinds'
import { freshDatabase, type FreshDatabase } from '../../scripts/database/freshDatabase'
import { openDatabase } from '../../server/database/open'
import { columnName, columnNames, tableName } from '../../server/database/tables'
import { TEST_CLUSTER } from '../testCluster'

let database: FreshDatabase
let db: Knex
beforeAll(async () => {
  database = await freshDatabase(TEST_CLUSTER)
  db = await openDatabase(database.address)
})
afterAll(async () => {
  await db.destroy()
  await database.drop()
})

async function ask<T>(row: z.ZodType<T>, statement: string): Promise<T[]> {
  const { rows } = await db.raw<{ rows: unknown[] }>(statement)
  return z.array(row).parse(rows)
}

const named = (relation: string, numbers: string) => `array(select attname::text
  from unnest(${numbers}) with ordinality n (number, place)
  join pg_attribute a on a.attrelid = ${relation} and a.attnum = n.number order by place)`
const names = z.array(z.string())

const keys = () =>
  ask(
    z.object({ child: z.string(), parent: z.string(), columns: names, pointed: names }),
    `select c.relname as child, p.relname as parent, ${named('conrelid', 'conkey')} as columns,
      ${named('confrelid', 'confkey')} as pointed
      from pg_constraint join pg_class c on c.oid = conrelid join pg_class p on p.oid = confrelid where contype = 'f'`,
  )
const indexes = () =>
  ask(
    z.object({ table: z.string(), unique: z.boolean(), primary: z.boolean(), columns: names }),
    `select c.relname as table, indisunique as unique, indisprimary as primary, ${named('indrelid', 'indkey::int2[]')} as columns
      from pg_index join pg_class c on c.oid = indrelid where c.relnamespace = 'public'::regnamespace`,
  )
const columns = () =>
  ask(
    z.object({ table: z.string(), column: z.string(), nullable: z.boolean() }),
    `select table_name as table, column_name as column, is_nullable = 'YES' as nullable
      from information_schema.columns where table_schema = 'public'`,
  )

const TABLES = new Set(KINDS.map(tableName))

/** What a kind points at, as column and table. */
const pointsAt = (kind: Kind) => [
  ...referencesOf(kind).map(({ field, to }) => `${tableName(kind)}.${columnName(field)} → ${tableName(to)}`),
  ...(declarationOf(kind).inValue ?? []).map(
    ({ to }) => `${tableName(kind)}.value_${columnName(to)} → ${tableName(to)}`,
  ),
]

describe('what is declared of each kind is what the database has', () => {
  it('knows every attribute of the catalogue', async () => {
    const list = LISTED_ATTRIBUTES.map((attribute) => `('${attribute}')`).join(',')
    expect(await ask(z.unknown(), `select a from (values ${list}) v (a) where not is_attribute(a)`)).toEqual([])
  })

  it('keeps every field in columns of its table, and nothing else', async () => {
    const real = await columns()
    for (const kind of KINDS) {
      const inValue = (declarationOf(kind).inValue ?? []).map(({ to }) => `value_${columnName(to)}`)
      const wanted = ['show_id', 'id', ...columnNames(kind), ...inValue]
      const there = real.filter(({ table }) => table === tableName(kind)).map(({ column }) => column)
      expect([kind, there.sort()]).toEqual([kind, wanted.sort()])
    }
  })

  it('has a foreign key for every reference, and no other', async () => {
    const real = (await keys()).flatMap(({ child, parent, columns: own, pointed }) =>
      TABLES.has(child) && TABLES.has(parent)
        ? own.flatMap((column, i) =>
            pointed[i] === 'id' && column !== 'show_id' ? [`${child}.${column} → ${parent}`] : [],
          )
        : [],
    )
    expect([...new Set(real)].sort()).toEqual(KINDS.flatMap(pointsAt).sort())
  })

  it('lets be empty what may come to point at nothing', async () => {
    const real = await columns()
    for (const kind of KINDS)
      for (const { field, whenGone } of referencesOf(kind)) {
        const column = real.find((one) => one.table === tableName(kind) && one.column === columnName(field))
        if (whenGone === 'turns to nothing') expect([kind, field, column?.nullable]).toEqual([kind, field, true])
      }
  })

  it('finds what points at a thing by an index, whatever goes', async () => {
    const real = await indexes()
    const isFoundBy = (own: readonly string[], indexed: readonly string[]) =>
      indexed.length > 1 && indexed.slice(0, own.length).every((column) => own.includes(column))
    const unfound = (await keys()).filter(
      ({ child, columns: own }) =>
        TABLES.has(child) &&
        own.length > 1 &&
        !real.some(({ table, columns: indexed }) => table === child && isFoundBy(own, indexed)),
    )
    expect(unfound).toEqual([])
  })

  it('lets stand but once what is declared to, and what its parts make the id of', async () => {
    const real = (await indexes()).filter(({ unique, primary }) => unique && !primary)
    for (const kind of KINDS) {
      const { unique } = declarationOf(kind)
      const ofKind = real.filter(({ table }) => table === tableName(kind)).map((index) => index.columns.join())
      const wanted = unique ? [['show_id', ...unique.map(columnName)].join()] : []
      expect(ofKind).toEqual(expect.arrayContaining(wanted))
      // The others only say once more that an id is one of a kind, or that it is made of its parts.
      const others = ofKind.filter((one) => !wanted.includes(one) && !one.split(',').includes('id'))
      if (others.length > 0) expect([kind, 'id' in declarationOf(kind)]).toEqual([kind, true])
    }
  })
})
