/** Shows of every earlier release, as full as that release knew them, come whole through the migrations. */
import knex, { type Knex } from 'knex'
import { z } from 'zod'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { registerParts } from '#core/show/changes'
import { FAMILIES } from '#core/attributes/families'
import { convertRgbToLrgb, convertXyz65ToRgb } from 'culori/fn'
import { attributeId, inCatalogueOrder } from '#core/attributes/attribute'
import { tristimulus } from '#core/colour/colour'
import { PRIMARIES, SEPARATE, withColourListed } from '#core/exchange/separateColours'
import { changeGroupId, commandId, personId, showId, windowId } from '#core/show/ids'
import { fixtureMode } from '#core/show/entities'
import { declarationOf, isWholeKind, KINDS, type Kind } from '#core/show/kinds'
import { modesOf } from '#core/show/modes'
import type { Show } from '#core/show/show'
import { choose } from '#demo/choices'
import { loadShow, writeWholeShow } from '../../server/database/showRepository'
import { migrationSource } from '../../server/database/migrations'
import { LiveShow } from '../../server/shows/liveShow'
import { freshDatabase, type FreshDatabase } from '../../scripts/database/freshDatabase'
import { KEPT_FILE, richDesk } from '../support/richShow'
import { TEST_CLUSTER } from '../testCluster'

/** What a field is worth in a show of before the migration that brought it. */
const FIELDS_SINCE: readonly (readonly [migration: number, kind: Kind, fields: Record<string, unknown>])[] = [
  [3, 'group', { colour: 'brass', pattern: null }],
  [3, 'person', { neutral: FAMILIES.filter((family) => family !== 'intensity'), neutralOnce: false, blind: false }],
  [3, 'person', { highlight: 'off' }],
  [4, 'show', { rest: null, highlight: null }],
  [4, 'person', { heldBack: [], takeOnce: false, editing: null }],
  [4, 'palette', { heldBack: [], note: '', time: null }],
  [4, 'handValue', { source: null }],
  [5, 'cueList', { priority: 5, level: 1, take: [...FAMILIES], heldBack: [], pausedAt: null }],
  [5, 'cue', { delay: 0, follow: 'wait' }],
  [5, 'cueValue', { mark: null, source: null }],
  [6, 'handValue', { arrival: null }],
  [8, 'person', { usual: null, usualNeutral: null }],
  [14, 'fixtureType', { ranges: [] }],
  [15, 'fixtureType', { mixing: null }],
  [19, 'cueList', { travel: null }],
  [19, 'cueTime', { travel: null }],
  [18, 'fixtureType', { cells: null }],
  [18, 'fixture', { bar: null, cell: null }],
  [15, 'show', { colourFade: 'by look', travel: 'angle' }],
  [21, 'show', { darkWhen: 'early', darkMargin: 0.2 }],
  [21, 'cue', { quiet: false }],
  [22, 'venue', { note: '', date: null }],
  [23, 'person', { checking: null, only: null }],
]
const KINDS_SINCE: readonly (readonly [migration: number, kinds: readonly Kind[]])[] = [
  [3, ['highlighted', 'workingSet', 'workingSetMember']],
  [4, ['shelfMask', 'paletteSpread']],
  [5, ['cueTime', 'cueRun']],
  [9, ['recordedFixture']],
  [15, ['swatch']],
  [20, ['acceptedSweep']],
  [21, ['darkRule']],
  [22, ['substitute', 'touchUp']],
  [23, ['pass', 'passStep', 'passCheck', 'cueNote']],
  [24, ['output']],
  [25, ['surveyed', 'sighting', 'hangCorrection', 'fixtureCorrection']],
  [26, ['tracking', 'trackedTarget', 'controlLine', 'controlBinding']],
  [27, ['print']],
  [29, ['rigFile', 'typeFile']],
  [30, ['underlay']],
]
/** The migrations after which there were shows that have not had all of them. */
const EARLIER = [2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20, 21, 22, 23, 24, 25, 26, 27, 28, 29]

/** Before the catalogue there were these, and channels that did one thing. */
const ATTRIBUTES_BEFORE: readonly unknown[] = [
  ...['intensity', 'position', 'zoom', 'edge', 'iris', 'red', 'green', 'blue', 'colourWheel', 'gobo', 'gobo2'],
  ...['shutterTop', 'shutterRight', 'shutterBottom', 'shutterLeft'],
]
const isKnownBefore = (role: unknown) => ATTRIBUTES_BEFORE.includes(role) || role === 'pan' || role === 'tilt'
const channelsNow = z.array(
  z.object({
    name: z.string(),
    coarse: z.number(),
    fine: z.number().nullable(),
    rest: z.number(),
    functions: z.array(z.object({ does: z.string(), from: z.number(), to: z.number() })),
  }),
)
const withKind = z.array(z.looseObject({ kind: z.string() }))

/** Before colour was one attribute, types that mix had three, and mixed of emitters of those names. */
const withThree = (has: readonly string[]) =>
  has.flatMap((one) => (one !== 'colour' ? [one] : has.includes('colourWheel') ? [] : SEPARATE))
const MIXING_THEN = { kind: 'emitters', choice: 'brightest', parts: SEPARATE.map((name) => PRIMARIES[name]) }
const roleThen = (role: string) => {
  const separate = SEPARATE.find((name) => role === `part:${PRIMARIES[name].name}`)
  return separate ?? (role.startsWith('part:') ? 'other' : role)
}
const channelsWithFunctions = z.array(z.looseObject({ functions: z.array(z.looseObject({ does: z.string() })) }))

/** A field as it was kept before colour was one attribute. */
const KEPT_SEPARATE: Readonly<Record<string, (value: unknown) => unknown>> = {
  has: (value) => withThree(z.array(z.string()).parse(value)),
  channels: (value) =>
    channelsWithFunctions.parse(value).map((channel) => ({
      ...channel,
      functions: channel.functions.map((one) => ({ ...one, does: roleThen(one.does) })),
    })),
}

const mixed = z.object({ kind: z.literal('colour'), x: z.number(), y: z.number(), level: z.number() })
/** A value of colour as three were kept: the levels it is mixed of, or the same link three times. */
function separateValues(value: unknown): readonly unknown[] {
  const colour = mixed.safeParse(value).data
  if (!colour) return [value, value, value]
  const light = convertRgbToLrgb(convertXyz65ToRgb({ ...tristimulus(colour) }))
  const most = Math.max(light.r, light.g, light.b)
  return [light.r, light.g, light.b].map((part) => ({ kind: 'number', number: (part / most) * colour.level }))
}
/** A thing of the colour as the three things it was kept as; what mixed by parts was not to be had. */
function separated(id: string, thing: Record<string, unknown>): [id: string, thing: Record<string, unknown>][] {
  if (thing.attribute !== 'colour') return [[id, thing]]
  return SEPARATE.map((attribute, i) => [
    id.replace(/colour$/, attribute),
    { ...thing, attribute, value: separateValues(thing.value)[i] },
  ])
}

/** A field as it was kept before the catalogue; what is not said here was kept as it is today. */
const KEPT_BEFORE: Readonly<Record<string, (value: unknown) => unknown>> = {
  has: (value) => z.array(z.string()).parse(value).filter(isKnownBefore),
  wheels: (value) => withKind.parse(value).filter(({ kind }) => kind !== 'prism'),
  channels: (value) =>
    channelsNow.parse(value).map(({ name, coarse, fine, rest, functions: [first] }) => {
      if (!first) throw new Error(`${name} does nothing`)
      const does = isKnownBefore(first.does) ? first.does : 'other'
      return { name, does, coarse, fine, from: first.from, to: first.to, rest }
    }),
}
function keptThen(after: number, field: string, value: unknown): unknown {
  if (after < 19 && field === 'travel' && value === null) return 'angle'
  if (after < 16 && field === 'form' && value === 'lamp') return 'wash'
  const separate = after < 15 && KEPT_SEPARATE[field] ? KEPT_SEPARATE[field](value) : value
  return after < 14 && KEPT_BEFORE[field] ? KEPT_BEFORE[field](separate) : separate
}
/** What is kept today of a field that was kept as it was then. */
function keptSince(field: string, value: unknown): unknown {
  if (field === 'has') return withColourListed(z.array(z.string()).parse(value))
  if (field !== 'channels') return value
  const roles = (text: string) =>
    SEPARATE.reduce((now, name) => now.replaceAll(`"does":"${name}"`, `"does":"part:${PRIMARIES[name].name}"`), text)
  return fixtureMode.shape.channels.parse(JSON.parse(roles(JSON.stringify(value))))
}

type Things = Map<Kind, Map<string, Record<string, unknown>>>

const missingKinds = (after: number) =>
  new Set(KINDS_SINCE.filter(([migration]) => migration > after).flatMap(([, kinds]) => kinds))
const missingFields = (after: number, kind: Kind): Record<string, unknown> =>
  Object.assign({}, ...FIELDS_SINCE.filter(([m, of]) => m > after && of === kind).map(([, , fields]) => fields))

const thingsOf = (show: Show, fields: (kind: Kind) => Record<string, unknown> = () => ({})): Things =>
  new Map(
    KINDS.map((kind) => {
      const all = Object.entries(Object.fromEntries<object>(show.all[kind]))
      return [kind, new Map(all.map(([id, thing]) => [id, { ...thing, ...fields(kind) }]))]
    }),
  )

/** Types that mixed red, green and blue mix of emitters of those names today. */
function mixedThen(things: Things) {
  for (const thing of things.get('fixtureType')?.values() ?? []) {
    const has = z.array(attributeId).parse(thing.has)
    thing.has = has.toSorted(inCatalogueOrder)
    thing.mixing = has.includes('colour') ? MIXING_THEN : null
  }
}

/** Whether something is, or is about, a cell of a fixture, or has values of one. */
let cells: readonly string[] = []
const ofCell = (id: string) => cells.some((cell) => `.${id}.`.includes(`.${cell}.`))

function withoutCells(things: Things): void {
  for (const all of things.values()) for (const id of all.keys()) if (ofCell(id)) all.delete(id)
}

/** A show of the release after a migration, as it is to be today. */
function expected(show: Show, after: number): Things {
  const things = thingsOf(show, (kind) => missingFields(after, kind))
  for (const kind of missingKinds(after)) things.get(kind)?.clear()
  if (after < 18) withoutCells(things)
  for (const [kind, field] of [
    ['fixtureType', 'has'],
    ['fixtureType', 'wheels'],
    ['fixtureType', 'form'],
    ['fixtureMode', 'channels'],
    ['cue', 'travel'],
  ] as const)
    for (const thing of things.get(kind)?.values() ?? [])
      thing[field] = keptSince(field, keptThen(after, field, thing[field]))
  if (after < 15) mixedThen(things)
  // Letting go to rest came later; palettes tell with whom they were recorded by the values they have.
  if (after < 7)
    for (const [id, { value }] of things.get('cueValue') ?? [])
      if (JSON.stringify(value).includes('"rest"')) things.get('cueValue')?.delete(id)
  if (after < 9)
    for (const { palette, fixture } of show.all.paletteValue.values())
      if (fixture && !ofCell(fixture)) things.get('recordedFixture')?.set(`${palette}.${fixture}`, { palette, fixture })
  return things
}

/** A type of a show whose first channel is called otherwise. */
function withOtherChannels(of: Show) {
  const [id, type] = [...of.all.fixtureType][0] ?? []
  const modes = modesOf(of, id ?? '').map(({ id: mode, mode: { name, channels } }, i) => ({
    id: mode,
    name,
    channels: channels.map((channel, j) => (i + j === 0 ? { ...channel, name: 'Turn' } : channel)),
  }))
  return { ...type, type: id, modes }
}

/** Numbers to a billionth: colours are worked out there and back. */
const rounded = (things: Things): unknown =>
  JSON.parse(
    JSON.stringify(
      [...things].map(([kind, all]) => [kind, Object.fromEntries(all)]),
      (_, value) => (typeof value === 'number' ? Math.round(value * 1e9) / 1e9 : value),
    ),
  )

let today: FreshDatabase
let db: Knex
let show: Show
/** The steps of the journal, in order. */
const steps = ['s1', 's2', 's3', 's4', 's5', 's6', 's7', 's8', 's9']

const opened = (address: string) =>
  knex({ client: 'pg', connection: address, migrations: { migrationSource }, pool: { max: 4 } })
const asker = { person: personId.parse('anna'), window: windowId.parse('w') }

beforeAll(async () => {
  today = await freshDatabase(TEST_CLUSTER)
  db = opened(today.address)
  await db.migrate.latest()
  const made = richDesk().show
  await db.transaction((transaction) => writeWholeShow(transaction, made, [KEPT_FILE]))
  const live = await LiveShow.open(db, made.id)
  if (!live) throw new Error('the show is there')
  const { fixtures } = choose(live.show)
  const work: readonly (readonly [string, unknown])[] = [
    ['recordGroup', { number: 77, name: 'Seventy', fixtures: fixtures('11, 12') }],
    [
      'aimAtTarget',
      { fixtures: fixtures('13'), target: choose(live.show).target('Mark'), offset: { x: 0, y: 0, z: 0 }, along: null },
    ],
    ['recordPalette', { number: 777, name: 'Then', colour: 'kelp', shelf: 'position' }],
    ['clearHand', { fixtures: fixtures('11'), families: [...FAMILIES] }],
    [
      'copyCues',
      {
        cues: [choose(live.show).cue(1, 1)],
        list: [...live.show.all.cueList.keys()][0],
        number: 90,
        what: 'all it shows',
      },
    ],
    ['setColour', { fixtures: fixtures('12, 41'), colour: { kind: 'colour', x: 0.35, y: 0.3, level: 0.9 } }],
    ['clearHand', { fixtures: fixtures('12'), families: ['colour'] }],
    ['moveTarget', { target: choose(live.show).target('Bow'), position: { x: 1, y: 1, z: 1 } }],
    ['changeType', withOtherChannels(live.show)],
  ]
  for (const [i, [name, input]] of work.entries()) {
    const answer = await live.run({
      id: commandId.parse(steps[i] ?? ''),
      name,
      input,
      ...asker,
      seenRevision: live.revision,
    })
    if (!answer.ok) throw new Error(`${name}: ${answer.refusal.message}`)
  }
  show = live.show
  cells = [...show.all.fixture].flatMap(([id, { bar }]) => (bar === null ? [] : [id]))
})
afterAll(async () => {
  await db.destroy()
  await today.drop()
})

const named = z.array(z.object({ name: z.string() }))

/** The columns of a table that take what is put into them. */
async function columnsOf(at: Knex, table: string): Promise<Set<string>> {
  const { rows } = await at.raw(
    `select column_name as name from information_schema.columns
      where table_schema = 'public' and table_name = ? and is_generated = 'NEVER'`,
    [table],
  )
  return new Set(named.parse(rows).map(({ name }) => name))
}

/** Copies rows of today into a table of then, as far as it knew them. */
async function copy(
  old: Knex.Transaction,
  after: number,
  table: string,
  isIn: (row: Record<string, unknown>) => boolean,
) {
  const [then, now] = [await columnsOf(old, table), await columnsOf(db, table)]
  const columns = [...then].filter((column) => now.has(column)).map((column) => `"${column}"`)
  const rows = (await db(table).select(db.raw('to_jsonb(??.*) as row', [table])))
    .map(({ row }) => row)
    .filter(isIn)
    .flatMap((row) => (after < 15 ? separated(String(row.id), row).map(([id, one]) => ({ ...one, id })) : [row]))
  for (const row of rows)
    for (const field of [...Object.keys(KEPT_BEFORE), 'form', 'travel'])
      if (field in row) row[field] = keptThen(after, field, row[field])
  await old.raw(
    `insert into "${table}" (${columns}) select ${columns} from jsonb_populate_recordset(null::"${table}", ?::jsonb)`,
    [JSON.stringify(rows)],
  )
}

/** JSON as text: there, nothing in JSON is another thing than nothing at all. */
const journalWrite = z.object({
  seq: z.number(),
  place: z.number(),
  register: z.string(),
  before: z.string().nullable(),
  after: z.string().nullable(),
})

/** A write of the journal, or the part of it that was there then; null where there is none. */
function writtenThen(migration: number, { register, before, after, ...at }: z.infer<typeof journalWrite>) {
  const { kind, id, field } = registerParts(register)
  if (missingKinds(migration).has(kind)) return null
  if (migration < 18 && ofCell(id)) return null
  const missing = Object.keys(missingFields(migration, kind))
  if (missing.includes(field)) return null
  const side = (text: string | null) => {
    if (text === null) return text
    if (!isWholeKind(kind)) return JSON.stringify(keptThen(migration, field, JSON.parse(text)))
    const fields = z.record(z.string(), z.unknown()).parse(JSON.parse(text))
    return JSON.stringify(Object.fromEntries(Object.entries(fields).filter(([of]) => !missing.includes(of))))
  }
  return { ...at, register, before: side(before), after: side(after) }
}

/** A write of a colour as the three it was. */
function separateWrites(write: z.infer<typeof journalWrite>): z.infer<typeof journalWrite>[] {
  const [, id = ''] = /^[^/]*\/(.*\.colour)\/\$$/.exec(write.register) ?? []
  if (id === '') return [{ ...write, place: write.place * 3 }]
  const sides = [write.before, write.after].map((text) =>
    text === null ? null : separated(id, z.record(z.string(), z.unknown()).parse(JSON.parse(text))),
  )
  return SEPARATE.map((attribute, i) => {
    const [before, after] = sides.map((three) => (three ? JSON.stringify(three[i]?.[1]) : null))
    const register = write.register.replace(/colour\/\$$/, `${attribute}/$`)
    return { ...write, place: write.place * 3 + i, register, before: before ?? null, after: after ?? null }
  })
}

async function copyJournal(old: Knex.Transaction, migration: number): Promise<void> {
  await copy(old, migration, 'journal_entry', () => true)
  const { rows } = await db.raw('select seq, place, register, before::text, after::text from journal_write')
  const writes = z
    .array(journalWrite)
    .parse(rows)
    .flatMap((write) => writtenThen(migration, write) ?? [])
    .flatMap((write) => (migration < 15 ? separateWrites(write) : [write]))
  await old.batchInsert(
    'journal_write',
    writes.map((write) => ({ show_id: show.id, ...write })),
  )
}

describe('a full show of an earlier release', () => {
  it.each(EARLIER)(
    'of after migration %i opens with all there was, and its journal undoes and redoes',
    async (after) => {
      const database = await freshDatabase(TEST_CLUSTER)
      const old = opened(database.address)
      try {
        for (let i = 0; i < after; i++) await old.migrate.up()
        const things = expected(show, after)
        await old.transaction(async (transaction) => {
          await copy(transaction, after, 'show', () => true)
          if (after >= 29) await copy(transaction, after, 'stored_file', () => true)
          for (const kind of KINDS)
            if (!missingKinds(after).has(kind))
              await copy(
                transaction,
                after,
                declarationOf(kind).table,
                ({ id }) => things.get(kind)?.has(String(id)) ?? false,
              )
          if (after >= 10) await copy(transaction, after, 'change_group', () => true)
          await copyJournal(transaction, after)
        })
        await old.migrate.latest()
        const loaded = await loadShow(old, showId.parse(show.id))
        expect(loaded && rounded(thingsOf(loaded.show))).toEqual(rounded(things))

        const live = await LiveShow.open(old, showId.parse(show.id))
        if (!live) throw new Error('the show is there')
        const before = live.show
        for (const direction of ['undo', 'redo'] as const)
          for (const step of direction === 'undo' ? [...steps].reverse() : steps) {
            const id = commandId.parse(`${direction}-${step}`)
            const group = changeGroupId.parse(step)
            const asked = { ...asker, seenRevision: live.revision, id, direction, group, how: 'ask' as const }
            expect(await live.toggle(asked)).toMatchObject({ ok: true, entry: { kind: direction } })
          }
        expect(thingsOf(live.show)).toEqual(thingsOf(before))
      } finally {
        await old.destroy()
        await database.drop()
      }
    },
  )

  it('is tried for every migration but the newest', async () => {
    expect(EARLIER.at(-1)).toBe((await migrationSource.getMigrations([])).length - 1)
  })
})
