import knex, { type Knex } from 'knex'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { migrationSource } from '../../server/database/migrations'
import { loadShow } from '../../server/database/showRepository'
import { LiveShow } from '../../server/shows/liveShow'
import { freshDatabase, type FreshDatabase } from '../../scripts/database/freshDatabase'
import { footprintOf } from '#core/patch/span'
import { changeGroupId, commandId, personId, showId, windowId } from '#core/show/ids'
import { rigOf } from '#core/show/rig'
import { TEST_CLUSTER } from '../testCluster'

let database: FreshDatabase
let db: Knex
beforeEach(async () => {
  database = await freshDatabase(TEST_CLUSTER)
  db = knex({ client: 'pg', connection: database.address, migrations: { migrationSource } })
})
afterEach(async () => {
  await db.destroy()
  await database.drop()
})

const AXES = 'pan_min, pan_max, pan_speed, pan_acceleration, tilt_min, tilt_max, tilt_speed, tilt_acceleration'
const OLD_SHOW = [
  `insert into show (id, revision) values ('s', 1)`,
  `insert into venue values ('s', 'v', 'Hall', '[{"x":-5,"y":0},{"x":5,"y":0},{"x":5,"y":8}]', 9, 6, 8, '[]')`,
  `insert into show_record values ('s', 's', 'Old', 'v')`,
  `insert into person values ('s', 'p', 'Anna', '{}')`,
  `insert into fixture_type (show_id, id, maker, name, form, ${AXES}, pivot_drop, lens_across, lens_normal, lens_forward, zoom, has, channels)
    values ('s', 't', 'Maker', 'Old one', 'wash', -270, 270, 180, 300, -120, 120, 120, 240, 0.4, 0, 0, 0.2, '{"min":6,"max":48}', '{intensity,zoom}', 31)`,
  `insert into hang values ('s', 'h', 'Bar', 'bar')`,
  `insert into hang_place values ('s', 'v.h', 'v', 'h', 0, 0, 7, 0, 0, 8)`,
  `insert into fixture values ('s', 'f', 12, '', 't', 1, 5, '')`,
  `insert into fixture_place values ('s', 'v.f', 'v', 'f', 'h', 1, 0, 0, 0, 0, 0)`,
  `insert into set_piece values ('s', 'b', 'Boat', '[{"kind":"cylinder","radius":1,"base":0.5,"height":2}]')`,
  `insert into target values ('s', 'a', 'Line', '{"kind":"line","to":{"x":1,"y":0,"z":0}}', null, null)`,
  `insert into journal_entry values ('s', 1, 'c1', 'p', 'w', now(), 'do', 'g1', 'import', true, null)`,
  ...Object.entries({ $: true, number: 12, name: '', type: 't', universe: 1, address: 5, note: '' }).map(
    ([field, value], i) =>
      `insert into journal_write values ('s', 1, ${i}, 'fixture/f/${field}', null, '${JSON.stringify(value)}')`,
  ),
  ...Object.entries({
    $: true,
    venue: 'v',
    fixture: 'f',
    hang: 'h',
    along: 1,
    out: 0,
    drop: 0,
    yaw: 0,
    pitch: 0,
    roll: 0,
  }).map(
    ([field, value], i) =>
      `insert into journal_write values ('s', 1, ${i + 50}, 'fixturePlace/v.f/${field}', null, '${JSON.stringify(value)}')`,
  ),
]

it('a show of before the Rig room opens with optics and modes, and its journal still undoes and redoes', async () => {
  await db.migrate.up()
  await db.transaction(async (transaction) => {
    for (const statement of OLD_SHOW) await transaction.raw(statement)
  })
  await db.migrate.latest()
  const id = showId.parse('s')
  const stored = await loadShow(db, id)
  expect(stored?.show.all.fixtureType.get('t')?.optics.map((row) => row.beam)).toEqual([6, 48])
  expect(stored && footprintOf(stored.show, 'f')).toBe(31)
  expect(stored?.show.all.setPiece.get('b')).toMatchObject({ layer: null, solids: [{ base: 0.5, at: { x: 0, y: 0 } }] })
  expect(stored && rigOf(stored.show).size).toBe(1)

  const live = await LiveShow.open(db, id)
  if (!live) throw new Error('the show is there')
  const step = (direction: 'undo' | 'redo') => ({
    id: commandId.parse(direction),
    person: personId.parse('p'),
    window: windowId.parse('w'),
    seenRevision: live.revision,
    direction,
    group: changeGroupId.parse('g1'),
    how: 'ask' as const,
  })
  expect((await live.toggle(step('undo'))).ok).toBe(true)
  expect(live.show.all.fixture.size).toBe(0)
  expect((await live.toggle(step('redo'))).ok).toBe(true)
  expect(live.show.all.fixture.get('f')?.mode).toBe('t.mode')
})
