import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { commandId, asTargetId, personId, showId, windowId, changeGroupId, type ShowId } from '#core/show/ids'
import { targetsOf } from '#core/show/targets'
import { choose } from '#demo/choices'
import { loadShow } from '../../server/database/showRepository'
import { entriesSince } from '../../server/database/journalRepository'
import { ShowRegistry } from '../../server/shows/showRegistry'
import type { LiveShow, ShowListener } from '../../server/shows/liveShow'
import { freshDatabase, type FreshDatabase } from '../../scripts/database/freshDatabase'
import { THREADS_OF_HOUSE } from '../threads'
import { TEST_CLUSTER } from '../testCluster'

let database: FreshDatabase
let house: ShowRegistry
let id: ShowId
let live: LiveShow
let commands = 0

const asker = (name: string, seenRevision = live.revision) => ({
  person: personId.parse(name),
  window: windowId.parse(`${name}-window`),
  seenRevision,
})
const run = (name: string, command: string, input: unknown, seen?: number) =>
  live.run({ id: commandId.parse(`c${++commands}`), name: command, input, ...asker(name, seen) })
const undo = async (name: string, how: 'ask' | 'anyway' | 'waive' = 'ask') => {
  const { undo: step } = await live.undoState(personId.parse(name))
  return live.toggle({
    id: commandId.parse(`c${++commands}`),
    direction: 'undo',
    group: step?.group ?? changeGroupId.parse('none'),
    how,
    ...asker(name),
  })
}
const hearing = (entry: ShowListener['entry']): ShowListener => ({ entry, reloaded: () => undefined })
const where = (name: string) => targetsOf(live.show).get(choose(live.show).target(name))?.position
const move = (person: string, target: string, y: number, seen?: number) =>
  run(person, 'moveTarget', { target: choose(live.show).target(target), position: { x: 0, y, z: 0 } }, seen)

beforeAll(async () => {
  database = await freshDatabase(TEST_CLUSTER)
  house = await ShowRegistry.open(database.address, THREADS_OF_HOUSE)
  await house.loadDemoWhenEmpty()
  id = showId.parse('salt-lantern')
  const opened = await house.show(id)
  if (!opened) throw new Error('the demo was not loaded')
  live = opened
  await run('anna', 'joinShow', { name: 'Anna' })
  await run('ben', 'joinShow', { name: 'Ben' })
})

afterAll(async () => {
  await house.close()
  await database.drop()
})

describe('a show in the database', () => {
  it('reads back exactly as it is in memory, after changes too', async () => {
    const { fixtures, target } = choose(live.show)
    await run('anna', 'aimAtTarget', {
      fixtures: fixtures('1-6'),
      target: target('Shore line'),
      offset: { x: 0, y: 0.4, z: 0 },
      along: { from: 0, to: 1 },
    })
    await run('anna', 'recordPalette', { number: 95.5, name: 'Tried', colour: 'kelp', shelf: 'position' })
    const stored = await loadShow(house.knex, id)
    expect(stored?.revision).toBe(live.revision)
    for (const kind of Object.keys(live.show.all))
      expect([kind, new Map(Reflect.get(stored?.show.all ?? {}, kind))]).toEqual([
        kind,
        new Map(Reflect.get(live.show.all, kind)),
      ])
  })

  it('loads the demo once, whoever asks', async () => {
    await house.loadDemoWhenEmpty()
    expect(await house.shows()).toHaveLength(1)
  })

  it('refuses at the database what cannot be', async () => {
    const { cue, fixtures, hang } = choose(live.show)
    const of = { show_id: id, cue: cue(1, 1), fixture: fixtures('1')[0] }
    const insert = (attribute: string, value: object, row: object = {}) => {
      const stored = { ...of, id: `${of.cue}.${of.fixture}.${attribute}`, attribute, value, ...row }
      return house.knex.transaction((t) => t('cue_value').insert(stored).onConflict(['show_id', 'id']).merge())
    }
    const change = (table: string, where: object, to: object) =>
      house.knex.transaction((t) =>
        t(table)
          .where({ show_id: id, ...where })
          .update(to),
      )
    await expect(insert('zoom', { kind: 'link', palette: 'none' })).rejects.toThrow(/foreign key/)
    await expect(insert('edge', { kind: 'pool', diameter: 1 })).rejects.toThrow(/check/)
    await expect(insert('position', { kind: 'angles', pan: 'north', tilt: 0 })).rejects.toThrow(/cue_value_value_fits/)
    await expect(insert('position', { kind: 'aim', target: null, offset: { x: 1 } })).rejects.toThrow(/value_fits/)
    await expect(insert('edge', { kind: 'number', number: 1 }, { id: 'else' })).rejects.toThrow(/has_its_id/)
    await expect(change('palette', { number: 2 }, { number: 1 })).rejects.toThrow(/unique/)
    await expect(change('venue', {}, { outline: '[{"x":1}]' })).rejects.toThrow(/venue_outline_fits/)
    await expect(change('set_piece', {}, { solids: '[]' })).rejects.toThrow(/set_piece_solids_fits/)
    const spare = { hang: hang('Bar 1'), venue: [...live.show.all.venue.keys()][0] }
    await expect(
      house.knex.transaction((t) =>
        t('hang_place')
          .where({ show_id: id, ...spare })
          .delete(),
      ),
    ).rejects.toThrow(/fixture_place_hung/)
    expect((await loadShow(house.knex, id))?.show.all).toEqual(live.show.all)
  })
})

describe('commands', () => {
  it('are journaled with the show in one transaction, or not at all', async () => {
    const before = live.revision
    const refused = await run('anna', 'moveHang', {
      hang: [...live.show.all.hang.keys()][0],
      origin: { x: 0, y: 0, z: -1 },
    })
    expect(refused).toMatchObject({ ok: false, status: 422, refusal: { code: 'below floor' } })
    expect(await run('anna', 'moveTarget', { target: 5 })).toMatchObject({
      ok: false,
      refusal: { code: 'bad input', field: 'target' },
    })
    expect(await run('anna', 'flyAway', {})).toMatchObject({ ok: false, status: 400 })
    expect(live.revision).toBe(before)
    await move('anna', 'Shore mark', 1)
    const [entry] = await entriesSince(house.knex, id, before, 1)
    expect(entry).toMatchObject({ seq: before + 1, person: 'anna', label: expect.stringContaining('Shore mark') })
  })

  it('that would make something stand twice are refused in words', async () => {
    const solids = [{ kind: 'person', height: 1.7 }]
    const twin = { name: 'Dory', solids, layer: null, position: { x: 0, y: 0, z: 0 }, yaw: 0 }
    expect(await run('anna', 'addSetPiece', twin)).toMatchObject({
      ok: false,
      refusal: { message: 'There is a set piece called Dory already. Choose another name.' },
    })
  })

  it('sent twice under one id are done once', async () => {
    const request = {
      id: commandId.parse('same'),
      name: 'goToCue',
      input: { list: choose(live.show).list(1), cue: choose(live.show).cue(1, 3) },
      ...asker('anna'),
    }
    const first = await live.run(request)
    const second = await live.run(request)
    expect(second).toEqual(first)
  })

  it('never overwrite what their window had not seen', async () => {
    const seen = live.revision
    await move('ben', 'House front', -4)
    expect(await move('anna', 'House front', -6, seen)).toMatchObject({
      ok: false,
      status: 409,
      refusal: { code: 'changed meanwhile', message: expect.stringContaining('Ben') },
    })
    expect(where('House front')?.y).toBe(-4)
    expect(await move('anna', 'House front', -6)).toMatchObject({ ok: true })
    expect(await move('anna', 'House front', -7, seen)).toMatchObject({ ok: true })
  })

  it('tell every listener of each entry once and in order', async () => {
    const heard: number[] = []
    const stop = live.subscribe(hearing((entry) => heard.push(entry.seq)))
    const from = live.revision
    await Promise.all([move('anna', 'Shore mark', 2), move('anna', 'Shore mark', 3), move('anna', 'Shore mark', 4)])
    stop()
    expect(heard).toEqual([from + 1, from + 2, from + 3])
  })
})

describe('undo', () => {
  it('takes back one’s own step and leaves what others set later', async () => {
    await move('anna', 'Shore mark', 1)
    await move('ben', 'Shore mark', 2)
    const answer = await undo('anna')
    expect(answer).toMatchObject({ ok: true, note: expect.stringContaining('Ben') })
    expect(where('Shore mark')?.y).toBe(2)
  })

  it('refuses to take a palette from under someone’s cue, unless told to all the same', async () => {
    const { fixtures } = choose(live.show)
    await run('anna', 'turnHeads', { fixtures: fixtures('51'), pan: { how: 'to', degrees: 5 }, tilt: null })
    await run('anna', 'recordPalette', { number: 97, name: 'Leaned on', colour: 'rose', shelf: 'position' })
    await run('ben', 'recallPalette', { palette: choose(live.show).palette(97), fixtures: fixtures('51') })
    await run('ben', 'recordCue', {
      list: choose(live.show).list(1),
      number: 99,
      name: 'Leans',
      rise: 1,
      fall: 1,
      move: null,
      travel: 'angle',
    })
    expect(await undo('anna')).toMatchObject({
      ok: false,
      status: 409,
      refusal: { message: expect.stringContaining('cue 99') },
    })
    expect(await undo('anna', 'anyway')).toMatchObject({ ok: true })
    expect([...live.show.all.palette.values()].some((p) => p.number === 97)).toBe(false)
    expect((await loadShow(house.knex, id))?.show.all.cueValue.size).toBe(live.show.all.cueValue.size)
    await undo('anna')
    expect([...live.show.all.palette.values()].some((p) => p.number === 97)).toBe(true)
  })
})

describe('undo of what hangs from a hang that is gone', () => {
  it('is refused in words with ways on, never a fault of the database', async () => {
    const spare = { name: 'Spare', form: 'bar', origin: { x: 0, y: 2, z: 6 }, yaw: 0, rise: 0, length: 4 }
    await run('ben', 'addHang', spare)
    const { fixtures, hang } = choose(live.show)
    const onto = (name: string) => ({ changes: [{ fixture: fixtures('51')[0], hang: hang(name) }] })
    await run('anna', 'changeFixtures', onto('Spare'))
    await run('anna', 'changeFixtures', onto('Bar 1'))
    await run('ben', 'deleteHang', { hang: hang('Spare'), fixtures: null })
    expect(await undo('anna')).toMatchObject({
      ok: false,
      status: 409,
      refusal: { code: 'harms others', message: expect.stringContaining('the hang it speaks of is no longer there') },
    })
    expect(await undo('anna', 'anyway')).toMatchObject({ ok: true, note: expect.stringContaining('is left as it is') })
    expect((await loadShow(house.knex, id))?.revision).toBe(live.revision)
  })
})

describe('two servers on one database', () => {
  it('asked at the same moment do both what does not touch, and one of two that do', async () => {
    const other = await ShowRegistry.open(database.address, THREADS_OF_HOUSE)
    try {
      const theirs = await other.show(id)
      if (!theirs) throw new Error('the second server does not see the show')
      const to = (server: LiveShow, person: string, target: string, y: number, seenRevision: number) =>
        server.run({
          id: commandId.parse(`at-once-${person}-${y}`),
          name: 'moveTarget',
          input: { target: choose(live.show).target(target), position: { x: 0, y, z: 0 } },
          person: personId.parse(person),
          window: windowId.parse(`${person}-at-once`),
          seenRevision,
        })
      const seen = live.revision
      const apart = await Promise.all([
        to(live, 'anna', 'Shore mark', 3.1, seen),
        to(theirs, 'ben', 'Jetty root', 3.2, seen),
      ])
      expect(apart.map(({ ok }) => ok)).toEqual([true, true])
      const then = Math.max(live.revision, theirs.revision)
      const same = await Promise.all([
        to(live, 'anna', 'Shore mark', 4.1, then),
        to(theirs, 'ben', 'Shore mark', 4.2, then),
      ])
      expect(same.filter(({ ok }) => ok)).toHaveLength(1)
      expect(same.find(({ ok }) => !ok)).toMatchObject({ status: 409, refusal: { code: 'changed meanwhile' } })
      const stored = await loadShow(house.knex, id)
      expect(stored && targetsOf(stored.show).get(choose(stored.show).target('Shore mark'))?.position.y).toBe(
        same[0]?.ok ? 4.1 : 4.2,
      )
    } finally {
      await other.close()
    }
  })

  it('see each other’s changes, one after the other', async () => {
    const other = await ShowRegistry.open(database.address, THREADS_OF_HOUSE)
    try {
      const theirs = await other.show(id)
      if (!theirs) throw new Error('the second server does not see the show')
      const heard = new Promise<number>((resolve) => theirs.subscribe(hearing((entry) => resolve(entry.seq))))
      await move('anna', 'Shore mark', 8)
      expect(await heard).toBe(live.revision)
      const target = asTargetId(choose(live.show).target('Shore mark'))
      const input = { target, position: { x: 0, y: 9, z: 0 } }
      const answer = await theirs.run({
        id: commandId.parse('from-other'),
        name: 'moveTarget',
        input,
        person: personId.parse('anna'),
        window: windowId.parse('w2'),
        seenRevision: theirs.revision,
      })
      expect(answer).toMatchObject({ ok: true })
      await move('ben', 'Jetty root', 1)
      expect(where('Shore mark')?.y).toBe(9)
    } finally {
      await other.close()
    }
  })
})
