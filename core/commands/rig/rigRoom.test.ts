import { describe, expect, it } from 'vitest'
import { distance, vec3 } from '../../geometry/vector'
import { OSTREL_TYPES, tern } from '#demo/types'
import { fixtureType } from '../../show/entities'
import { asFixtureTypeId, asLayerId } from '../../show/ids'
import { dependentsInWords, dependentsOfFixtures } from '../../show/dependents'
import { modesOf } from '../../show/modes'
import { hangsOf, rigOf } from '../../show/rig'
import { targetsOf } from '../../show/targets'
import { Desk } from '../../../tests/support/smallShow'

const typeCalled = (desk: Desk, name: string) =>
  asFixtureTypeId([...desk.show.all.fixtureType].find(([, type]) => type.name === name)?.[0] ?? '')
const bar = (desk: Desk) => desk.choose.hang('Bar')
const straight = { out: 0, drop: 0.1, yaw: 0, pitch: 0, roll: 0 }
const numbersOn = (desk: Desk, name: string) =>
  hangsOf(desk.show)
    .find(({ hang }) => hang.name === name)
    ?.fixtures.map(({ fixture, place }) => `${fixture.number} at ${place.along}`)

describe('hangs', () => {
  it('are added, renamed and refused a name that is taken or a place below the floor', () => {
    const desk = new Desk()
    const place = { form: 'bar', origin: vec3(0, 3, 6), yaw: 0, rise: 0, length: 9 } as const
    expect(desk.do('addHang', { name: 'Bar 2', ...place })).toBe('hang Bar 2')
    expect(desk.refused('addHang', { name: ' bar 2', ...place })).toContain('called Bar 2 already')
    expect(desk.refused('addHang', { name: 'Pit', ...place, origin: vec3(0, 0, -1) })).toContain('1.00 m below')
    expect(desk.do('changeHang', { hang: bar(desk), name: 'Bridge', form: 'bridge' })).toBe('rename Bar to Bridge')
  })

  it('are copied and mirrored with their fixtures, numbered on and unpatched', () => {
    const desk = new Desk()
    desk.do('copyHang', { hang: bar(desk), name: 'Bar 2', by: vec3(0, 3, -0.5), numberFrom: 21 })
    expect(numbersOn(desk, 'Bar 2')).toEqual(['21 at -3', '22 at -1', '23 at 1', '24 at 3'])
    const boom = desk.choose.hang('Boom')
    desk.do('mirrorHang', { hang: boom, name: 'Boom right', numberFrom: 42 })
    const [left, right] = [41, 42].map((number) => rigOf(desk.show).get(desk.fixture(number))?.mount.pivot)
    expect(left && right && distance(right, vec3(-left.x, left.y, left.z))).toBeLessThan(1e-9)
    expect(desk.refused('mirrorHang', { hang: boom, name: 'Boom 3', numberFrom: 11 })).toContain('Number 11 is taken')
  })

  it('in use do not vanish silently: their fixtures move or go along, or the hang stays', () => {
    const desk = new Desk()
    expect(desk.refused('deleteHang', { hang: bar(desk), fixtures: null })).toContain('4 fixture places are on Bar')
    const to = desk.choose.hang('Boom')
    desk.do('deleteHang', { hang: bar(desk), fixtures: { kind: 'move', to } })
    expect(numbersOn(desk, 'Boom')).toHaveLength(5)
    desk.do('deleteHang', { hang: to, fixtures: { kind: 'delete' } })
    expect(desk.show.all.fixture.size).toBe(0)
  })
})

describe('fixtures', () => {
  it('are placed in a row: 8 along a bar, 0.8 m apart, numbered from 21', () => {
    const desk = new Desk()
    const type = typeCalled(desk, 'Plover 250')
    const row = { hang: bar(desk), type, mode: null, count: 8, gap: 0.8, middle: 0, numberFrom: 21, ...straight }
    expect(desk.do('placeFixtures', row)).toBe('place 21 to 28 on Bar')
    expect(numbersOn(desk, 'Bar')).toContain('28 at 2.8')
    expect(desk.show.all.fixture.get(desk.fixture(21))?.mode).toBe(modesOf(desk.show, type)[0]?.id)
    expect(desk.refused('placeFixtures', { ...row, numberFrom: 14 })).toContain('Number 14 is taken')
  })

  it('change many at once; a new type brings its own mode; numbers stay single', () => {
    const desk = new Desk()
    const type = typeCalled(desk, 'Dunlin 400')
    const changes = desk.fixtures('11-13').map((fixture) => ({ fixture, type, drop: 0.2 }))
    expect(desk.do('changeFixtures', { changes })).toBe('change type and drop of 3 fixtures')
    for (const id of desk.fixtures('11-13')) {
      const { fixture, place } = rigOf(desk.show).get(id) ?? {}
      expect([desk.show.all.fixtureMode.get(fixture?.mode ?? '')?.type, place?.drop]).toEqual([type, 0.2])
    }
    expect(desk.refused('changeFixtures', { changes: [{ fixture: desk.fixture(11), number: 12 }] })).toContain(
      'stand twice',
    )
    const swap = [
      { fixture: desk.fixture(11), number: 12 },
      { fixture: desk.fixture(12), number: 11 },
    ]
    expect(desk.do('changeFixtures', { changes: swap })).toContain('change number')
    desk.do('renumberFixtures', { fixtures: desk.fixtures('14, 13, 12, 11'), numberFrom: 11, step: 1 })
    expect(numbersOn(desk, 'Bar')?.map((n) => n.split(' ')[0])).toEqual(['13', '14', '12', '11'])
  })

  it('are copied along, and taken out with all that leans on them', () => {
    const desk = new Desk()
    desk.aim('11-14', 'Bow')
    desk.do('recordPalette', { number: 1, name: 'Bow', shelf: 'position', colour: 'brass' })
    desk.cue(1)
    desk.do('recordGroup', { number: 1, name: 'All', fixtures: desk.fixtures('11-14') })
    desk.do('copyFixtures', { fixtures: desk.fixtures('11, 12'), numberFrom: 61, hang: bar(desk), by: 0.5 })
    expect(numbersOn(desk, 'Bar')).toContain('62 at -0.5')
    const fixtures = desk.fixtures('11, 12')
    const leaning = dependentsOfFixtures(desk.show, new Set(fixtures))
    expect(dependentsInWords(leaning)).toBe('1 group, 1 palette and 1 cue')
    desk.do('deleteFixtures', { fixtures })
    expect(dependentsInWords(dependentsOfFixtures(desk.show, new Set(fixtures)))).toBe('')
    expect([...desk.show.all.fixture.values()].map((f) => f.number).sort()).toEqual([13, 14, 41, 61, 62])
  })
})

describe('types', () => {
  it('are added and changed with their modes; a mode in use stays', () => {
    const desk = new Desk()
    expect(desk.refused('addType', tern)).toContain('Ostrel Tern 700 already')
    desk.do('addType', { ...tern, name: 'Tern 701' })
    const type = typeCalled(desk, 'Tern 700')
    const [full] = modesOf(desk.show, type)
    const channels = full?.mode.channels ?? []
    const fields = fixtureType.parse(desk.show.all.fixtureType.get(type))
    expect(desk.refused('changeType', { ...fields, type, modes: [{ id: null, name: 'New', channels }] })).toContain(
      'use the mode Full',
    )
    const before = desk.seen(11).position.pose.pan
    desk.do('changeType', {
      ...fields,
      type,
      pivotDrop: 0.9,
      modes: [{ id: full?.id ?? null, name: 'Full', channels }],
    })
    expect(modesOf(desk.show, type)).toHaveLength(1)
    expect(rigOf(desk.show).get(desk.fixture(11))?.mount.pivot.z).toBeCloseTo(7 - 0.9, 9)
    expect(desk.seen(11).position.pose.pan).toBe(before)
  })

  it('refuse what cannot be, at its field', () => {
    const desk = new Desk()
    const wrong = (change: object) => {
      const outcome = desk.attempt('addType', { ...tern, name: 'X', ...change })
      return outcome.ok ? null : outcome.refusal
    }
    expect(wrong({ optics: [tern.optics[1], tern.optics[0]] })).toMatchObject({ field: 'optics' })
    expect(wrong({ optics: [{ beam: 20, field: 10, candela: 1 }] })?.message).toContain('wider than the beam')
    expect(wrong({ pan: { ...tern.pan, min: 300 } })).toMatchObject({ field: 'pan' })
    expect(wrong({ modes: [] })?.message).toContain('at least one mode')
  })

  it('in use go only with a word on their fixtures', () => {
    const desk = new Desk()
    const type = typeCalled(desk, 'Tern 700')
    expect(desk.refused('deleteType', { type, fixtures: null })).toContain('4 fixtures are Tern 700')
    const to = typeCalled(desk, 'Plover 250')
    desk.do('deleteType', { type, fixtures: { kind: 'change', to } })
    expect(rigOf(desk.show).get(desk.fixture(11))?.type.name).toBe('Plover 250')
    desk.do('deleteType', { type: to, fixtures: { kind: 'leave without' } })
    expect(rigOf(desk.show).size).toBe(1)
    expect(desk.show.all.fixtureType.size).toBe(OSTREL_TYPES.length - 2)
  })
})

describe('the stage', () => {
  const spot = (desk: Desk, name: string) => targetsOf(desk.show).get(desk.choose.target(name))

  it('lets a target be tied and freed without moving it', () => {
    const desk = new Desk()
    const target = desk.choose.target('Shore')
    const before = spot(desk, 'Shore')
    const setPiece = desk.choose.setPiece('Dory')
    desk.do('changeTarget', { target, setPiece })
    expect(distance(spot(desk, 'Shore')?.end ?? vec3(NaN, 0, 0), before?.end ?? vec3(0, 0, 0))).toBeLessThan(1e-9)
    desk.do('moveSetPiece', { setPiece, position: vec3(-2, 4, 0), yaw: 90 })
    expect(spot(desk, 'Shore')?.position.y).toBeCloseTo((before?.position.y ?? 0) + 1, 9)
    desk.do('deleteSetPiece', { setPiece })
    expect(spot(desk, 'Shore')?.target.setPiece).toBeNull()
    expect(spot(desk, 'Shore')?.end?.y).toBeCloseTo((before?.end?.y ?? 0) + 1, 9)
    expect(distance(spot(desk, 'Bow')?.position ?? vec3(NaN, 0, 0), vec3(-2, 5.5, 0.8))).toBeLessThan(1e-9)
  })

  it('keeps a target that is aimed at, or leaves its aims at their place', () => {
    const desk = new Desk()
    desk.aim('11', 'Mark')
    const target = desk.choose.target('Mark')
    expect(desk.refused('deleteTarget', { target, aims: 'refuse' })).toContain('1 value in hand aim at Mark')
    desk.do('deleteTarget', { target, aims: 'keep the place' })
    expect(desk.seen(11).position).toMatchObject({ state: 'reached', point: vec3(0, 2, 0) })
  })

  it('spreads a selection over numbered stations in its order, beginning again when they run out', () => {
    const desk = new Desk()
    const fixtures = desk.fixtures('14, 11-13, 41')
    desk.do('aimAtTarget', { fixtures, target: desk.choose.target('Shore'), offset: vec3(0, 0, 0), along: 'stations' })
    expect([14, 11, 12, 13, 41].map((number) => desk.seen(number).position.point?.x)).toEqual([-3, -1, 1, 3, -3])
  })

  it('locks and hides layers; what is locked stays put', () => {
    const desk = new Desk()
    desk.do('addLayer', { name: 'Boats' })
    const layer = asLayerId([...desk.show.all.layer.keys()][0] ?? '')
    const setPiece = desk.choose.setPiece('Dory')
    desk.do('changeSetPiece', { setPiece, layer })
    expect(desk.do('changeLayer', { layer, locked: true })).toBe('lock the layer Boats')
    expect(desk.refused('moveSetPiece', { setPiece, position: vec3(0, 0, 0), yaw: 0 })).toContain(
      'layer Boats, which is locked',
    )
    desk.do('deleteLayer', { layer })
    desk.do('moveSetPiece', { setPiece, position: vec3(0, 0, 0), yaw: 0 })
  })
})
