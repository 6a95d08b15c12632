/** Red, green and blue of before migration 015, row by row and step by step, as one colour. */
import { group } from 'd3-array'
import type { Knex } from 'knex'
import { z } from 'zod'
import { oneColour, oneThing, separateId, SEPARATE } from '#core/exchange/separateColours'

export const VALUED = ['palette_value', 'cue_value', 'hand_value'] as const

const row = z.looseObject({ show_id: z.string(), id: z.string(), value: z.unknown() })
type Row = z.infer<typeof row>
/** What there is of the three, of one thing. */
type Three<T> = Partial<Record<(typeof SEPARATE)[number], T>>

/** Rows of the three attributes by the thing they are of: its show, then what its ids begin with. */
function together(rows: readonly Row[]): Map<string, Three<Row>> {
  const things = new Map<string, Three<Row>>()
  for (const one of rows) {
    const own = separateId(one.id)
    if (!own) continue
    const key = `${one.show_id} ${own.base}`
    things.set(key, { ...things.get(key), [own.attribute]: one })
  }
  return things
}

const each = <T>(three: Three<T>) =>
  SEPARATE.flatMap((name) => (three[name] === undefined ? [] : [[name, three[name]] as const]))

/** Rows put right at once. */
const AT_ONCE = 5000

/** Brings the rows of the three attributes together, as one row each: the first of them. */
export async function mergeRows(knex: Knex): Promise<void> {
  for (const table of VALUED) {
    const rows = z.array(row).parse(await knex(table).whereIn('attribute', [...SEPARATE]))
    const merged = [...together(rows).values()].map(asOne)
    for (let at = 0; at < merged.length; at += AT_ONCE) await putTogether(knex, table, merged.slice(at, at + AT_ONCE))
    await knex(table)
      .whereIn('attribute', [...SEPARATE])
      .delete()
  }
}

interface Merged {
  readonly show_id: string
  /** The row it is made of. */
  readonly first: string
  readonly id: string
  readonly value: unknown
  readonly arrival_from: unknown
}

function asOne(three: Three<Row>): Merged {
  const [first] = each(three).map(([, one]) => one)
  const of = (field: string) => oneColour(Object.fromEntries(each(three).map(([name, one]) => [name, one[field]])))
  return {
    show_id: first?.show_id ?? '',
    first: first?.id ?? '',
    id: `${separateId(first?.id ?? '')?.base ?? ''}.colour`,
    value: of('value'),
    arrival_from: first?.arrival_from ? of('arrival_from') : null,
  }
}

async function putTogether(knex: Knex, table: string, merged: readonly Merged[]): Promise<void> {
  const from = table === 'hand_value' ? ', arrival_from = n.arrival_from' : ''
  await knex.raw(
    `update ${table} t set id = n.id, attribute = 'colour', value = n.value${from}
      from jsonb_to_recordset(?::jsonb) as n(show_id text, first text, id text, value jsonb, arrival_from jsonb)
      where t.show_id = n.show_id and t.id = n.first`,
    [JSON.stringify(merged)],
  )
}

/** Rows as the things they are, which the journal writes. */
const THINGS: Readonly<Record<string, { readonly table: string; readonly thing: (row: Row) => unknown }>> = {
  paletteValue: {
    table: 'palette_value',
    thing: ({ palette, fixture, fixture_type: fixtureType, attribute, value }) => ({
      palette,
      fixture,
      fixtureType,
      attribute,
      value,
    }),
  },
  cueValue: {
    table: 'cue_value',
    thing: ({ cue, fixture, attribute, value, mark, source }) => ({ cue, fixture, attribute, value, mark, source }),
  },
  handValue: {
    table: 'hand_value',
    thing: ({ person, fixture, attribute, value, source, ...come }) => {
      const { arrival_from: from, arrival_seconds: seconds, arrival_started_at: startedAt } = come
      const arrival = from === null ? null : { startedAt: Number(startedAt), seconds: Number(seconds), from }
      return { person, fixture, attribute, value, source, arrival }
    },
  },
}

const write = z.object({
  show_id: z.string(),
  seq: z.number(),
  place: z.number(),
  register: z.string(),
  before: z.unknown(),
  after: z.unknown(),
})
type Write = z.infer<typeof write>

/**
 * Brings the journal's writes of the three attributes together: of each thing, what it was before and
 * after every step, as the steps tell it, and where they do not, as it stands in the end.
 */
export async function mergeWrites(knex: Knex): Promise<void> {
  for (const [kind, { table, thing }] of Object.entries(THINGS)) {
    const found = await knex('journal_write')
      .whereRaw(`register ~ ('^' || :kind || '/.*[.](red|green|blue)/[$]$')`, { kind })
      .orderBy(['show_id', 'seq', 'place'])
    const writes = group(z.array(write).parse(found), (one) => `${one.show_id} ${own(one).base}`)
    const rows = together(z.array(row).parse(await knex(table).whereIn('attribute', [...SEPARATE])))
    for (const [key, ofThing] of writes) {
      const known = each(rows.get(key) ?? {}).map(([name, one]) => [name, thing(one)])
      await mergeWritesOf(knex, `${kind}/${own(ofThing[0]).base}`, ofThing, Object.fromEntries(known))
    }
  }
}

/** Whose write it is, by its register: "cueValue/c1.f1.red/$". */
function own(one: Write | undefined) {
  const [, id = ''] = /^[^/]*\/(.*)\/\$$/.exec(one?.register ?? '') ?? []
  return separateId(id) ?? { base: '', attribute: 'red' as const }
}

async function mergeWritesOf(
  knex: Knex,
  thing: string,
  writes: readonly Write[],
  atTheEnd: Three<unknown>,
): Promise<void> {
  // What stood before the first step that says: what that step found there.
  const three: Three<unknown> = { ...atTheEnd }
  for (const one of writes.toReversed()) three[own(one).attribute] = one.before ?? undefined
  for (const [seq, ofStep] of group(writes, (one) => one.seq)) {
    const before = standing(three)
    for (const one of ofStep) three[own(one).attribute] = one.after ?? undefined
    const [first, ...others] = ofStep
    const step = knex('journal_write').where({ show_id: first?.show_id ?? '', seq })
    await step
      .clone()
      .whereIn(
        'place',
        others.map(({ place }) => place),
      )
      .delete()
    await step
      .clone()
      .where({ place: first?.place ?? 0 })
      .update({ register: `${thing}.colour/$`, before, after: standing(three) })
  }
}

/** The thing as JSON, null where there is nothing of it. */
function standing(three: Three<unknown>): string | null {
  return each(three).length === 0 ? null : JSON.stringify(oneThing(three))
}
