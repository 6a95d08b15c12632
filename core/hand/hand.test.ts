import { describe, expect, it } from 'vitest'
import { distance, ORIGIN, vec3 } from '../geometry/vector'
import { beamAt, missDistance } from '../kinematics/forward'
import { moveTime } from '../kinematics/motorTime'
import { handOf, stageWithoutHand } from '../cues/onStage'
import { FAMILIES } from '../attributes/families'
import { targetsOf } from '../show/targets'
import { Desk } from '../../tests/support/smallShow'
import { sidesOf } from './otherSide'

const aimed = (entry: string, target = 'Bow') => {
  const desk = new Desk()
  desk.do('aimAtTarget', {
    fixtures: desk.fixtures(entry),
    target: desk.choose.target(target),
    offset: ORIGIN,
    along: null,
  })
  return desk
}
const held = (desk: Desk, number: number, attribute: 'position' | 'zoom' | 'intensity' | 'edge' | 'gobo') =>
  handOf(desk.show, desk.person).get(desk.fixture(number))?.get(attribute)
const numbers = (desk: Desk, entry: string, attribute: 'zoom' | 'intensity' | 'edge') =>
  desk.fixtures(entry).map((id) => {
    const value = handOf(desk.show, desk.person).get(id)?.get(attribute)
    return value?.kind === 'number' ? value.number : null
  })

describe('the other side', () => {
  it('lights the same place with the head turned round, and back', () => {
    const desk = aimed('11-14')
    const bow = targetsOf(desk.show).get(desk.choose.target('Bow'))
    const before = desk.seen(12)
    desk.do('turnOtherSide', { fixtures: desk.fixtures('11-14'), how: 'other' })
    const after = desk.seen(12)
    expect(after.position.side).not.toBe(before.position.side)
    expect(Math.abs(after.position.pose.pan - before.position.pose.pan)).toBeGreaterThan(90)
    expect(missDistance(beamAt(after.rigged.mount, after.position.pose), bow?.position ?? ORIGIN)).toBeLessThan(1e-4)
    desk.do('turnOtherSide', { fixtures: desk.fixtures('12'), how: 'other' })
    expect(desk.seen(12).position.side).toBe(before.position.side)
  })

  it('turns raw angles about the place they light', () => {
    const desk = new Desk()
    desk.do('turnHeads', {
      fixtures: desk.fixtures('11'),
      pan: { how: 'to', degrees: 30 },
      tilt: { how: 'to', degrees: 40 },
    })
    const before = desk.seen(11)
    desk.do('turnOtherSide', { fixtures: desk.fixtures('11'), how: 'other' })
    const after = desk.seen(11)
    expect(after.position.pose.tilt).toBeLessThan(0)
    expect(distance(after.position.point ?? ORIGIN, before.position.point ?? vec3(9, 9, 9))).toBeLessThan(1e-6)
  })

  it('says how long each way takes, and finds the quickest for each', () => {
    const desk = aimed('11-14')
    desk.do('turnOtherSide', { fixtures: desk.fixtures('11-14'), how: 'other' })
    const { seconds, other, quickest } = sidesOf(desk.show, desk.seen(13))
    expect(other?.seconds).toBeCloseTo(
      moveTime(desk.seen(13).rigged.mount.head, { pan: 0, tilt: 0 }, other ?? { pan: 0, tilt: 0 }),
    )
    expect(quickest?.seconds).toBeLessThanOrEqual(Math.min(seconds ?? 0, other?.seconds ?? 0))
    desk.do('turnOtherSide', { fixtures: desk.fixtures('11-14'), how: 'quickest' })
    expect(sidesOf(desk.show, desk.seen(13)).seconds).toBeCloseTo(quickest?.seconds ?? -1)
    expect(desk.refused('turnOtherSide', { fixtures: desk.fixtures('11-14'), how: 'quickest' })).toContain('quickest')
  })
})

describe('changing values', () => {
  it('relatively keeps differences, at the ends of the range stops, and passes over those without it', () => {
    const desk = new Desk()
    const change = (entry: string, number: number) =>
      desk.do('changeValues', { fixtures: desk.fixtures(entry), attribute: 'intensity', change: { how: 'to', number } })
    change('11', 0.2)
    change('12', 0.9)
    desk.do('changeValues', {
      fixtures: desk.fixtures('11, 12'),
      attribute: 'intensity',
      change: { how: 'by', number: 0.3 },
    })
    expect(numbers(desk, '11, 12', 'intensity')).toEqual([0.5, 1])
    desk.do('changeValues', {
      fixtures: desk.fixtures('11, 12'),
      attribute: 'intensity',
      change: { how: 'times', factor: 0.5 },
    })
    expect(numbers(desk, '11, 12', 'intensity')).toEqual([0.25, 0.5])
    desk.do('changeValues', { fixtures: desk.fixtures('11, 41'), attribute: 'edge', change: { how: 'max' } })
    expect(held(desk, 41, 'edge')).toBeUndefined()
    expect(
      desk.refused('changeValues', { fixtures: desk.fixtures('41'), attribute: 'edge', change: { how: 'max' } }),
    ).toContain('None of these fixtures has edge')
    expect(
      desk.refused('changeValues', {
        fixtures: desk.fixtures('11'),
        attribute: 'zoom',
        change: { how: 'to', number: 170 },
      }),
    ).toContain('takes zoom from')
  })

  it('goes on from the angle a pool was solved to', () => {
    const desk = aimed('11')
    desk.do('setValue', { fixtures: desk.fixtures('11'), attribute: 'zoom', value: { kind: 'pool', diameter: 2 } })
    const { angle } = desk.seen(11).zoom
    desk.do('changeValues', { fixtures: desk.fixtures('11'), attribute: 'zoom', change: { how: 'by', number: 1 } })
    expect(desk.seen(11).zoom.angle).toBeCloseTo(angle + 1)
  })
})

describe('fans', () => {
  const shape = { keep: 'middle', curve: 'even', run: 'within' } as const
  it('spread pan about what each head shows and stop at the stops', () => {
    const desk = aimed('11-14', 'Mark')
    const before = desk.fixtures('11-14').map((_, i) => desk.seen(11 + i).position.pose.pan)
    desk.do('fanValues', { ...shape, parts: [desk.fixtures('11-14')], of: 'pan', spread: { how: 'by', amount: 6 } })
    const moved = before.map((pan, i) => desk.seen(11 + i).position.pose.pan - pan)
    expect(moved.map((n) => Math.round(n))).toEqual([-6, -2, 2, 6])
    desk.do('fanValues', {
      ...shape,
      keep: 'first',
      parts: [desk.fixtures('11-14')],
      of: 'pan',
      spread: { how: 'by', amount: 5000 },
    })
    expect(desk.seen(14).position.pose.pan).toBe(desk.seen(14).rigged.type.pan.max)
  })
  it('spread a typed range inside each part', () => {
    const desk = new Desk()
    const parts = [desk.fixtures('11, 12'), desk.fixtures('13, 14')]
    desk.do('fanValues', { ...shape, parts, of: 'intensity', spread: { how: 'range', from: 0.2, to: 0.8 } })
    expect(numbers(desk, '11-14', 'intensity')).toEqual([0.2, 0.8, 0.2, 0.8])
    expect(
      desk.refused('fanValues', {
        ...shape,
        parts: [desk.fixtures('41')],
        of: 'edge',
        spread: { how: 'by', amount: 1 },
      }),
    ).toContain('edge')
  })
  it('spread places along a line, beams side by side or crossing whatever the order of selection', () => {
    const desk = new Desk()
    const shore = { kind: 'target', target: desk.choose.target('Shore') } as const
    const xs = () => [11, 12, 13, 14].map((n) => desk.seen(n).position.point?.x)
    const fan = { curve: 'even', run: 'within', over: shore } as const
    desk.do('fanAims', { ...fan, parts: [desk.fixtures('12, 14, 11, 13')], lay: 'in order' })
    expect(xs()).toEqual([1, -3, 3, -1])
    desk.do('fanAims', { ...fan, parts: [desk.fixtures('12, 14, 11, 13')], lay: 'parallel' })
    expect(xs()).toEqual([-3, -1, 1, 3])
    desk.do('fanAims', { ...fan, parts: [desk.fixtures('12, 14, 11, 13')], lay: 'crossing' })
    expect(xs()).toEqual([3, 1, -1, -3])
    desk.do('fanAims', {
      ...fan,
      over: { kind: 'line', from: vec3(-2, 4, 0), to: vec3(2, 4, 1) },
      parts: [desk.fixtures('11')],
      lay: 'in order',
    })
    expect(desk.seen(11).position.point).toEqual(vec3(0, 4, 0.5))
    const bow = { kind: 'target', target: desk.choose.target('Bow') } as const
    expect(desk.refused('fanAims', { ...fan, over: bow, parts: [desk.fixtures('11')], lay: 'in order' })).toContain(
      'Bow is a point',
    )
  })
  it('go round a ring without meeting', () => {
    const desk = new Desk()
    desk.do('addTarget', {
      name: 'Ring',
      form: { kind: 'ring', radius: 2, stations: 0 },
      setPiece: null,
      position: vec3(0, 4, 0),
    })
    const over = { kind: 'target', target: desk.choose.target('Ring') } as const
    desk.do('fanAims', { curve: 'even', run: 'within', over, parts: [desk.fixtures('11-14')], lay: 'in order' })
    const at = [11, 12, 13, 14].map((n) => desk.seen(n).position.point ?? ORIGIN)
    for (const [i, p] of at.entries()) expect(distance(p, at[(i + 1) % 4] ?? ORIGIN)).toBeCloseTo(Math.sqrt(8))
  })
})

describe('neutral', () => {
  it('sets what its mask lets through; a mask for once is used up', () => {
    const desk = aimed('11')
    desk.do('changeValues', { fixtures: desk.fixtures('11'), attribute: 'edge', change: { how: 'max' } })
    desk.do('setNeutral', { families: ['beam', 'gobo'], once: true })
    desk.do('goNeutral', { fixtures: desk.fixtures('11') })
    expect(held(desk, 11, 'position')?.kind).toBe('aim')
    expect(held(desk, 11, 'edge')).toEqual({ kind: 'number', number: 0 })
    desk.do('goNeutral', { fixtures: desk.fixtures('11') })
    expect(held(desk, 11, 'position')).toEqual({ kind: 'angles', pan: 0, tilt: 0 })
    expect(held(desk, 11, 'intensity')).toBeUndefined()
  })
  it('says so when it would do nothing', () => {
    const desk = new Desk()
    desk.do('setNeutral', { families: [], once: false })
    expect(desk.refused('goNeutral', { fixtures: desk.fixtures('11') })).toContain('holds every family back')
    desk.do('setNeutral', { families: ['position'], once: false })
    desk.do('goNeutral', { fixtures: desk.fixtures('11') })
    expect(desk.refused('goNeutral', { fixtures: desk.fixtures('11') })).toContain('neutral already')
    expect(desk.refused('goHome', { fixtures: desk.fixtures('11'), families: ['position'] })).toContain('are there')
    desk.do('goHome', { fixtures: desk.fixtures('11'), families: ['intensity'] })
    expect(held(desk, 11, 'intensity')).toEqual({ kind: 'number', number: 0 })
  })
})

describe('taking values', () => {
  const recorded = () => {
    const desk = aimed('11, 12')
    desk.do('recordPalette', { number: 1, name: 'Bow', colour: 'brass', shelf: 'position' })
    desk.do('changeValues', {
      fixtures: desk.fixtures('11, 12'),
      attribute: 'edge',
      change: { how: 'to', number: 0.4 },
    })
    const list = desk.choose.list(1)
    desk.do('recordCue', { list, number: 1, name: 'One', rise: 3, fall: 3, move: null, travel: 'straight' })
    return desk
  }
  it('from a cue: only the families and fixtures asked for, as links or loose', () => {
    const desk = recorded()
    const cue = desk.choose.cue(1, 1)
    desk.do('takeFromCue', { cue, families: ['position'], fixtures: desk.fixtures('11'), as: 'link' })
    expect(held(desk, 11, 'position')).toEqual({ kind: 'link', palette: desk.choose.palette(1) })
    expect([held(desk, 11, 'edge'), held(desk, 12, 'position')]).toEqual([undefined, undefined])
    desk.do('takeFromCue', { cue, families: ['position'], fixtures: null, as: 'loose' })
    expect(held(desk, 12, 'position')?.kind).toBe('aim')
    expect(desk.refused('takeFromCue', { cue, families: ['gobo'], fixtures: null, as: 'link' })).toContain(
      'holds no gobo',
    )
  })
  it('from stage, and from another fixture all but its position', () => {
    const desk = recorded()
    desk.do('takeFromStage', { families: ['beam'], fixtures: desk.fixtures('12'), as: 'link' })
    expect(held(desk, 12, 'edge')).toEqual({ kind: 'number', number: 0.4 })
    const families = FAMILIES.filter((family) => family !== 'position')
    desk.do('copyValues', { from: desk.fixture(12), to: desk.fixtures('13, 41'), families, as: 'link' })
    expect(held(desk, 13, 'edge')).toEqual({ kind: 'number', number: 0.4 })
    expect([held(desk, 13, 'position'), held(desk, 41, 'edge')]).toEqual([undefined, undefined])
    expect(
      desk.refused('copyValues', { from: desk.fixture(12), to: desk.fixtures('12'), families, as: 'link' }),
    ).toContain('shows no')
  })
})

describe('what is seen and not held', () => {
  it('highlight brings fixtures out, and nothing of it is in the hand', () => {
    const desk = aimed('11, 12')
    desk.do('changeValues', {
      fixtures: desk.fixtures('11, 12'),
      attribute: 'intensity',
      change: { how: 'to', number: 0.5 },
    })
    const before = handOf(desk.show, desk.person)
    desk.do('setHighlight', { highlight: 'brighter', fixtures: desk.fixtures('11') })
    expect([desk.seen(11).seen, desk.seen(12).seen, desk.seen(11).intensity]).toEqual([1, 0.5, 0.5])
    desk.do('setHighlight', { highlight: 'others dimmed', fixtures: desk.fixtures('12') })
    expect([desk.seen(11).seen, desk.seen(12).seen]).toEqual([0.1, 0.5])
    desk.do('setHighlight', { highlight: 'off', fixtures: [] })
    expect(desk.seen(11).seen).toBe(0.5)
    expect(handOf(desk.show, desk.person)).toEqual(before)
  })
  it('blind, the stage shows the cues without the hand', () => {
    const desk = aimed('11')
    desk.do('setBlind', { blind: true })
    expect(stageWithoutHand(desk.show, desk.person).get(desk.fixture(11))?.position.state).toBe('resting')
    expect(desk.seen(11).position.state).toBe('reached')
  })
})
