import { describe, expect, it } from 'vitest'
import { vec3 } from '../../geometry/vector'
import { asFixtureId, asFixtureTypeId, asHangId, asTargetId } from '../../show/ids'
import { MOST_KEPT } from '../../show/entities'
import { keptSize, rigFilesOf } from '../../show/keptFiles'
import { rigOf } from '../../show/rig'
import { underlayPoint, underlaysOf } from '../../show/underlays'
import { Desk } from '../../../tests/support/smallShow'
import type { TakenRig } from './takeRig'

const NOTHING: TakenRig = {
  types: [],
  hangs: [],
  fixtures: [],
  targets: [],
  pieces: [],
  typeFiles: [],
  groups: [],
  underlays: [],
  file: null,
}
const quay = {
  hang: asHangId('quay'),
  name: 'Quay',
  form: 'bar',
  origin: vec3(0, 3, 5),
  yaw: 0,
  rise: 0,
  length: 4,
} as const

/** A fixture as a file has it, of the first type of the show. */
function hung(desk: Desk, more: Partial<TakenRig['fixtures'][number]> = {}): TakenRig['fixtures'][number] {
  const [type] = [...desk.show.all.fixtureType].find(([, { name }]) => name === 'Tern 700') ?? expect.fail('no type')
  const place = { hang: quay.hang, along: 1, out: 0, drop: 0, yaw: 0, pitch: 0, roll: 0 }
  const own = { fixture: asFixtureId('from-a-file'), number: 900, name: '', universe: 9, address: 1, note: '' }
  return { ...own, type: asFixtureTypeId(type), mode: 'full', ...place, ...more }
}

describe('takeRig', () => {
  it('brings what is new, and moves what is there without touching what aims it', () => {
    const desk = new Desk()
    desk.aim('11', 'Bow')
    const [first] = desk.fixtures('11')
    const known = first && desk.show.all.fixture.get(first)
    if (!first || !known) return expect.fail('there is a first fixture')
    const moved = hung(desk, { fixture: first, number: known.number, name: known.name, universe: null, address: null })
    desk.do('takeRig', { ...NOTHING, hangs: [quay], fixtures: [hung(desk), moved] })
    expect(rigOf(desk.show).get(first)?.hangPlace.origin).toEqual(quay.origin)
    expect(rigOf(desk.show).get(asFixtureId('from-a-file'))?.fixture).toMatchObject({ number: 900, universe: 9 })
    expect(desk.seen(11).position.state).toBe('reached')
  })

  it('refuses what would stand twice, hang on nothing or be of nothing, and then changes nothing', () => {
    const desk = new Desk()
    const before = desk.show
    const refused = (taken: Partial<TakenRig>) => desk.refused('takeRig', { ...NOTHING, ...taken })
    expect(refused({ hangs: [quay], fixtures: [hung(desk, { number: 11 })] })).toContain('Number 11 is taken')
    expect(refused({ fixtures: [hung(desk)] })).toContain('no longer in the show')
    expect(refused({ hangs: [quay], fixtures: [hung(desk, { mode: 'Unheard of' })] })).toContain(
      'no mode called Unheard of',
    )
    expect(refused({ hangs: [quay], fixtures: [hung(desk, { type: asFixtureTypeId('none') })] })).toContain(
      'fixture type',
    )
    expect(refused({ hangs: [{ ...quay, name: 'BAR' }] })).toContain('two hangs')
    const bow = asTargetId(desk.choose.target('Bow'))
    expect(refused({ targets: [{ target: bow, name: 'Bow', position: vec3(0, 0, 0) }] })).toContain(
      'tied to a set piece',
    )
    expect(desk.show).toBe(before)
  })

  it('keeps the file in place of the one before, for as long as there is room', () => {
    const desk = new Desk()
    const file = { name: 'quay.mvr', digest: 'a'.repeat(64), size: 1000, leftHanded: [] }
    const rig = { mirrored: false, turn: 0, shift: vec3(0, 0, 0), replaces: null }
    const first = desk.attempt('takeRig', { ...NOTHING, file: { ...file, rig } })
    expect(first).toMatchObject({ ok: true, label: 'keep the file quay.mvr' })
    desk.do('takeRig', { ...NOTHING, file: { ...file, rig } })
    const [[id] = expect.fail('none is kept')] = rigFilesOf(desk.show)
    const newer = { ...file, name: 'quay 2.mvr', digest: 'b'.repeat(64) }
    desk.do('takeRig', { ...NOTHING, file: { ...newer, rig: { ...rig, replaces: id } } })
    expect(rigFilesOf(desk.show).map(([, { name }]) => name)).toEqual(['quay 2.mvr'])
    const huge = { ...file, digest: 'c'.repeat(64), size: MOST_KEPT, rig }
    expect(desk.attempt('takeRig', { ...NOTHING, file: huge })).toMatchObject({
      ok: false,
      refusal: { code: 'files too large' },
    })
    // The same file once more takes no more room.
    desk.do('takeRig', { ...NOTHING, file: { ...newer, rig } })
    expect([rigFilesOf(desk.show).length, keptSize(desk.show)]).toEqual([2, 1000])
  })
  it('lays a drawing under the plan of the venue in play, in place of the one of its name', () => {
    const desk = new Desk()
    const place = { scale: 0.001, mirrored: false, turn: 0, x: -6, y: 1 }
    const plan = {
      name: 'Plan',
      digest: 'd'.repeat(64),
      size: 500,
      form: 'lines',
      width: 9000,
      height: 4000,
      ...place,
    } as const
    desk.do('takeRig', { ...NOTHING, underlays: [plan] })
    const [[id] = expect.fail('nothing lies there')] = underlaysOf(desk.show)
    desk.do('changeUnderlay', { underlay: id, strength: 0.9, hidden: ['Text'] })
    desk.do('takeRig', { ...NOTHING, underlays: [{ ...plan, name: ' plan', digest: 'e'.repeat(64), turn: 90 }] })
    expect(
      underlaysOf(desk.show).map(([known, { digest, turn, strength, hidden }]) => [
        known,
        digest[0],
        turn,
        strength,
        hidden,
      ]),
    ).toEqual([[id, 'e', 90, 0.9, ['Text']]])
    // Its lower left corner stays, its right leads upstage: 9 m of it, and 4 to the right of that.
    const [[, laid] = expect.fail('nothing lies there')] = underlaysOf(desk.show)
    const far = underlayPoint(laid, laid.width, laid.height)
    expect([far.x, far.y].map((metres) => Math.round(metres * 1e6) / 1e6)).toEqual([-10, 10])
    expect(desk.refused('takeRig', { ...NOTHING, underlays: [plan, plan] })).toContain('two underlays')
    desk.do('takeRig', { ...NOTHING, underlays: [{ ...plan, name: 'Seats' }] })
    expect(desk.refused('changeUnderlay', { underlay: id, name: 'SEATS' })).toContain('called Seats already')
    desk.do('addVenue', { ...plainVenue(desk), name: 'Elsewhere' })
    expect(desk.show.all.underlay.size).toBe(4)
    desk.do('deleteUnderlay', { underlay: id })
    expect(underlaysOf(desk.show).map(([, { name }]) => name)).toEqual(['Seats'])
  })
})

function plainVenue(desk: Desk) {
  const [venue = expect.fail('there is a venue')] = [...desk.show.all.venue.values()]
  return venue
}
