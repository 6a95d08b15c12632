/** Rig files in the open exchange format: one made by hand (see `tests/files`), and the demo's rig there and back. */
import { readFileSync } from 'node:fs'
import { zipSync } from 'fflate'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { AS_IT_IS, onStage, placedRig, placementBy } from '#core/exchange/mvr/placement'
import { readAddress, readRig } from '#core/exchange/mvr/readRig'
import { rigPlan, type RigPlan } from '#core/exchange/mvr/rigPlan'
import { writeRig } from '#core/exchange/mvr/writeRig'
import { NotReadable } from '#core/exchange/xml/xml'
import { fixtureFrame } from '#core/geometry/frame'
import { distance, vec3 } from '#core/geometry/vector'
import { groupsInOrder } from '#core/groups/groups'
import { placeId } from '#core/show/compositeIds'
import type { Show } from '#core/show/show'
import { showRecordOf } from '#core/show/show'
import { ShowBuilder } from '#demo/builder'
import { buildSaltLantern } from '#demo/saltLantern'
import { harbourHall } from '#demo/stage'
import { readRigFile } from '../../server/exchange/rigFile'
import { writeRigFile as writeKept } from '../../server/exchange/writeRigFile'
import { readZip } from '../../server/exchange/zip'

const quay = readFileSync('tests/files/quay.mvr')
const demo = buildSaltLantern('salt-lantern')

/** A rig that keeps no file. */
const writeRigFile = (show: Show) => writeKept(show, new Map())

function emptyDesk(): ShowBuilder {
  const desk = new ShowBuilder('empty', 'anna')
  desk.run('beginShow', { name: 'Empty', venue: harbourHall, types: [] })
  desk.run('joinShow', { name: 'Anna' })
  return desk
}
const all = (plan: RigPlan) => plan.taking(() => true)
const suggested = (plan: RigPlan) => {
  const keys = new Set(plan.items.filter((item) => item.suggested).map(({ key }) => key))
  return plan.taking((key) => keys.has(key))
}

/** Where a fixture hangs, by its number. */
function frameOf(show: Show, number: number) {
  const { venue } = showRecordOf(show)
  const [id] = [...show.all.fixture].find(([, one]) => one.number === number) ?? expect.fail(`there is no ${number}`)
  const place = show.all.fixturePlace.get(placeId(venue, id)) ?? expect.fail(`${number} hangs here`)
  const hang = show.all.hangPlace.get(placeId(venue, place.hang)) ?? expect.fail('its hang is here')
  return fixtureFrame(hang, place)
}

describe('a rig file made by hand', () => {
  it('is read through layers, groups and symbols, and taken into a show', async () => {
    const reading = await readRigFile(quay, 'quay.mvr')
    const desk = emptyDesk()
    const plan = rigPlan(desk.show, reading)
    desk.run('takeRig', all(plan))
    const show = desk.show
    expect(
      [...show.all.fixture.values()]
        .filter(({ bar }) => bar === null)
        .map(({ number, name, universe, address }) => [number, name, universe, address]),
    ).toEqual([
      [12, 'Gull', 2, 1],
      [13, 'Tern', 3, 401],
      [1, 'Up the mast', null, null],
      [2, 'Higher', null, null],
    ])
    expect(distance(frameOf(show, 12).origin, vec3(1.5, 0, 6))).toBeLessThan(1e-6)
    expect(distance(frameOf(show, 13).origin, vec3(1.5, 4, 6))).toBeLessThan(1e-6)
    expect(frameOf(show, 12).rotation.yx).toBeCloseTo(1)
    expect(frameOf(show, 2).rotation.zz).toBeCloseTo(-1)
    expect([...show.all.hang.values()].map(({ name, form }) => [name, form])).toEqual([
      ['Quay bar', 'bar'],
      ['Mast', 'boom'],
    ])
    expect([...show.all.targetPlace.values()].map(({ position }) => position)).toEqual([vec3(0, 0.5, 0.25)])
    expect([...show.all.setPiece.values()].map(({ name }) => name)).toEqual(['Crate on the quay'])
    expect([...show.all.layer.values()].map(({ name }) => name)).toContain('Goods')
  })

  it('has groups of its layers and classes, where one wants them; a newer file adds to them who is new', () => {
    const classed = (fixture: string) => (xml: string) =>
      xml
        .replace(`name="${fixture}"`, `name="${fixture}" classed=""`)
        .replace(
          new RegExp(`(classed="".*?<Matrix>.*?</Matrix>)`, 's'),
          '$1<Classing>0A000000-0000-4000-8000-000000000009</Classing>',
        )
        .replace(' classed=""', '')
    const scene = readFileSync('tests/files/quay.xml', 'utf8').replace(
      '</AUXData>',
      '<Class uuid="0A000000-0000-4000-8000-000000000009" name="Washes"/></AUXData>',
    )
    const read = (xml: string) => readRig(xml, { types: [], models: new Map() })
    const desk = emptyDesk()
    const members = () =>
      Object.fromEntries(
        groupsInOrder(desk.show).map(({ group, members: fixtures }) => [
          group.name,
          fixtures.map((id) => desk.show.all.fixture.get(id)?.name),
        ]),
      )
    const first = rigPlan(desk.show, read(classed('Higher')(scene)))
    const groups = first.items.filter(({ kind }) => kind === 'group')
    expect(groups.map(({ name, what, after, suggested: isSuggested }) => [name, what, after, isSuggested])).toEqual([
      ['Washes', 'new', '1 fixture of the class', false],
    ])
    desk.run('takeRig', all(first))
    expect(members()).toEqual({ Washes: ['Higher'] })
    const newer = rigPlan(desk.show, read(classed('Gull')(classed('Higher')(scene))))
    expect(newer.items.map(({ name, what, before, after }) => [name, what, before, after])).toEqual([
      ['Washes', 'members', '1 fixture', 'and 1 fixture of the class'],
    ])
    desk.run('takeRig', all(newer))
    expect(members()['Washes']).toEqual(['Higher', 'Gull'])
    // Whoever is left out of the show is left out of its groups, and all of a layer are no group.
    const other = emptyDesk()
    const plan = rigPlan(other.show, read(classed('Gull')(classed('Higher')(scene))))
    other.run(
      'takeRig',
      plan.taking((key) => !/f4/i.test(key)),
    )
    expect([...other.show.all.group.values()].map(({ name }) => name)).toEqual(['Washes'])
    expect(other.show.all.groupMember.size).toBe(1)
  })

  it('patches a second address that follows, inverts an axis, and says what has no place', async () => {
    const desk = emptyDesk()
    const plan = rigPlan(desk.show, await readRigFile(quay, 'quay.mvr'))
    desk.run('takeRig', all(plan))
    const modes = [...desk.show.all.fixtureMode.values()]
    expect(modes.map(({ name }) => name)).toEqual([
      'Everything',
      'Everything (pan inverted, address 2 at +87)',
      'Everything (without address 2)',
    ])
    const [plain, moved, without] = modes
    expect(plain?.channels.at(-1)?.coarse).toBe(19)
    expect(moved?.channels.at(-1)?.coarse).toBe(88 + 8)
    expect(moved?.channels[0]?.functions[0]).toMatchObject({ does: 'pan', from: -225, to: 405 })
    expect(without?.channels.every(({ coarse }) => coarse <= 10)).toBe(true)
    expect(plan.notes.filter(({ severity }) => severity === 'lost').map(({ about }) => about)).toEqual([
      'Ghost',
      'Buoy',
      'Tern',
      'Empty bar',
    ])
    expect(plan.notes.some(({ about, message }) => about === 'Up the mast' && message.includes('Nobody@Nothing'))).toBe(
      true,
    )
  })

  it('finds a second time what is there, and shows what differs', async () => {
    const reading = await readRigFile(quay, 'quay.mvr')
    const desk = emptyDesk()
    desk.run('takeRig', all(rigPlan(desk.show, reading)))
    const again = rigPlan(desk.show, reading)
    expect([again.items, again.same]).toEqual([[], 4])
    const gull =
      [...desk.show.all.fixture].find(([, { name }]) => name === 'Gull')?.[1] ?? expect.fail('there is a gull')
    const moved = {
      ...reading,
      fixtures: reading.fixtures
        .slice(0, 3)
        .map((one) =>
          one.name === 'Gull' ? { ...one, number: 99, position: vec3(1.5, 0.25, 6), addresses: [] } : one,
        ),
    }
    const plan = rigPlan(desk.show, moved)
    expect(plan.items.map(({ name, what, before, after }) => [name, what, before, after])).toEqual([
      ['Velmar Heron 300', 'modes', '', 'Everything (pan inverted)'],
      ['99', 'place', 'where it hangs', '0.250 m away'],
      ['99', 'number', '12', '99'],
      ['99', 'type', 'Everything (pan inverted, address 2 at +87)', 'Everything (pan inverted)'],
    ])
    expect(plan.missing).toEqual([2])
    desk.run(
      'takeRig',
      plan.taking((key) => key.endsWith(' place')),
    )
    expect([...desk.show.all.fixture.values()].find(({ name }) => name === 'Gull')).toEqual(gull)
    expect(distance(frameOf(desk.show, 12).origin, vec3(1.5, 0.25, 6))).toBeLessThan(1e-6)
  })
})

describe('a rig that is written', () => {
  it('comes into an empty show and out again as the same file', async () => {
    const file = await writeRigFile(demo)
    const desk = emptyDesk()
    const reading = await readRigFile(file, 'demo.mvr')
    expect(reading.notes).toEqual([])
    desk.run('takeRig', all(rigPlan(desk.show, reading)))
    const again = await writeRigFile(desk.show)
    expect(Buffer.compare(Buffer.from(again), Buffer.from(file))).toBe(0)
  })

  it('brings nothing into the show it came from, and only what was moved since', async () => {
    const reading = await readRigFile(await writeRigFile(demo), 'demo.mvr')
    const plan = rigPlan(demo, reading)
    expect([plan.items.filter((item) => item.suggested), plan.missing]).toEqual([[], []])
    const [fixture] = [...demo.all.fixturePlace.values()].filter(({ venue }) => venue === showRecordOf(demo).venue)
    const { fixture: moving, along } = fixture ?? expect.fail('something hangs')
    const desk = emptyDesk()
    desk.show = demo
    desk.run('changeFixtures', { changes: [{ fixture: moving, along: along + 0.1 }] })
    const moved = rigPlan(desk.show, reading)
    expect(moved.items.map(({ kind, what, after }) => [kind, what, after])).toEqual([
      ['fixture', 'place', '0.100 m away'],
    ])
    desk.run('takeRig', suggested(moved))
    expect(writeRig(desk.show).scene).toBe(writeRig(demo).scene)
  })
})

describe('where the origin of a rig file lies', () => {
  const metres = fc.double({ min: -30, max: 30, noNaN: true })
  const point = fc.record({ x: metres, y: metres, z: metres })

  it('is told by two places: both come to lie where they are said to', () => {
    fc.assert(
      fc.property(
        point,
        point,
        point,
        fc.double({ min: -180, max: 180, noNaN: true }),
        fc.boolean(),
        (a, b, to, turn, mirrored) => {
          fc.pre(distance({ ...a, z: 0 }, { ...b, z: 0 }) > 0.1)
          const truth = { scale: 1, mirrored, turn, shift: to }
          const found = placementBy({ file: [a, b], stage: [onStage(truth, a), onStage(truth, b)] }, truth)
          expect(found && distance(onStage(found, a), onStage(truth, a))).toBeLessThan(1e-6)
          expect(found && distance(onStage(found, b), onStage(truth, b))).toBeLessThan(1e-6)
        },
      ),
    )
  })

  it('turns and mirrors what hangs with it: light still falls on what it fell on', async () => {
    const reading = await readRigFile(await writeRigFile(demo), 'demo.mvr')
    const placement = { scale: 1, mirrored: true, turn: 37, shift: vec3(3, -2, 0.5) }
    const placed = placedRig(reading, placement)
    const desk = emptyDesk()
    desk.run('takeRig', all(rigPlan(desk.show, placed)))
    const straight = emptyDesk()
    straight.run('takeRig', all(rigPlan(straight.show, placedRig(reading, AS_IT_IS))))
    for (const { number } of reading.fixtures) {
      const [here, there] = [frameOf(straight.show, number ?? 0), frameOf(desk.show, number ?? 0)]
      const below = vec3(
        here.origin.x - here.rotation.xz,
        here.origin.y - here.rotation.yz,
        here.origin.z - here.rotation.zz,
      )
      const seen = vec3(
        there.origin.x - there.rotation.xz,
        there.origin.y - there.rotation.yz,
        there.origin.z - there.rotation.zz,
      )
      expect(distance(there.origin, onStage(placement, here.origin))).toBeLessThan(1e-5)
      expect(distance(seen, onStage(placement, below))).toBeLessThan(1e-5)
    }
  })
})

it('reads addresses counted through all universes and dotted ones', () => {
  expect(['1', '512', '513', '2.1', '7.512', '0', 'x', '1.513', '0.1'].map(readAddress)).toEqual([
    { universe: 1, address: 1 },
    { universe: 1, address: 512 },
    { universe: 2, address: 1 },
    { universe: 2, address: 1 },
    { universe: 7, address: 512 },
    null,
    null,
    null,
    null,
  ])
})

describe('a file that is no rig', () => {
  const refused = async (bytes: Uint8Array) => {
    try {
      await readRigFile(bytes, 'x.mvr')
    } catch (error) {
      return error instanceof NotReadable ? error.message : `thrown: ${String(error)}`
    }
    return 'was read'
  }
  const scene = new TextEncoder().encode('<GeneralSceneDescription><Scene/></GeneralSceneDescription>')

  it('is refused with the reason', async () => {
    expect(await refused(new Uint8Array(0))).toContain('no whole zip')
    expect(await refused(quay.subarray(0, 900))).toContain('no whole zip')
    expect(await refused(zipSync({ 'a.txt': scene }))).toContain('neither a scene')
    expect(await refused(zipSync({ 'GeneralSceneDescription.xml': scene }))).toBe('was read')
    const bomb = zipSync({ 'GeneralSceneDescription.xml': new Uint8Array(40_000_000).fill(0x20) })
    expect(await refused(bomb)).toContain('swells')
    const broken = Buffer.from(zipSync({ 'GeneralSceneDescription.xml': [scene, { level: 0 }] }))
    broken.writeUInt8(broken.readUInt8(60) ^ 1, 60)
    expect(await refused(broken)).toContain('checksum')
    expect(await refused(zipSync({ '../GeneralSceneDescription.xml': scene }))).toContain('no whole zip')
  })

  it('but has a position of no id is read without that, and says so', async () => {
    const long = `<Position uuid="${'x'.repeat(201)}" name="Long bar"/>`
    const xml = `<GeneralSceneDescription><Scene><AUXData>${long}</AUXData></Scene></GeneralSceneDescription>`
    const bytes = zipSync({ 'GeneralSceneDescription.xml': new TextEncoder().encode(xml) })
    const { hangs, notes } = await readRigFile(bytes, 'x.mvr')
    expect([hangs, notes.map(({ about }) => about)]).toEqual([[], ['Long bar']])
  })

  it('is never larger inside than it says', async () => {
    const file = Buffer.from(zipSync({ 'GeneralSceneDescription.xml': new Uint8Array(5000).fill(65) }))
    const at = file.indexOf(Buffer.from([0x50, 0x4b, 1, 2]))
    file.writeUInt32LE(10, at + 24)
    await expect(readZip(file, () => true)).rejects.toThrow(NotReadable)
  })

  it('of whatever damage is read or refused, and nothing else', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.record({ at: fc.nat(quay.length - 1), to: fc.nat(255) }), { minLength: 1, maxLength: 6 }),
        async (hits) => {
          const damaged = Uint8Array.from(quay)
          for (const { at, to } of hits) damaged[at] = to
          expect(await refused(damaged)).not.toContain('thrown')
        },
      ),
      { numRuns: 60 },
    )
  })
})
