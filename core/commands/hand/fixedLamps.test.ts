import { beforeEach, describe, expect, it } from 'vitest'
import { vec3 } from '../../geometry/vector'
import { plainChannel } from '../../show/entities'
import { modeFaults } from '../../patch/modeCheck'
import { asFixtureTypeId } from '../../show/ids'
import { Desk } from '../../../tests/support/smallShow'

let desk: Desk

beforeEach(() => {
  desk = new Desk()
  desk.do('placeFixtures', {
    hang: desk.choose.hang('Bar'),
    type: asFixtureTypeId([...desk.show.all.fixtureType].find(([, { name }]) => name === 'Lamp')?.[0] ?? ''),
    mode: null,
    count: 2,
    numberFrom: 61,
    gap: 0.5,
    middle: 0,
    out: 0,
    drop: 0.1,
    yaw: 0,
    pitch: 0,
    roll: 0,
  })
})

describe('lamps that do not turn', () => {
  it('stay where they point, whatever turns heads', () => {
    const mixed = desk.fixtures('11, 61')
    const lamps = desk.fixtures('61, 62')
    const { beam } = desk.seen(61)
    desk.aim('11, 61', 'Bow')
    const by = { how: 'by', degrees: 5 } as const
    desk.do('turnHeads', { fixtures: mixed, pan: by, tilt: by })
    desk.do('nudgeAim', { fixtures: mixed, by: vec3(1, 0, 0) })
    desk.do('goHome', { fixtures: mixed, families: ['position'] })
    expect(desk.held(61, 'position')).toBeUndefined()
    expect(desk.held(11, 'position')).toBeDefined()
    expect(desk.seen(61).beam).toEqual(beam)
    for (const attempt of [
      () => desk.refused('aimAtTarget', { fixtures: lamps, target: null, offset: vec3(0, 1, 0), along: null }),
      () => desk.refused('turnHeads', { fixtures: lamps, pan: by, tilt: null }),
      () => desk.refused('nudgeAim', { fixtures: lamps, by: vec3(1, 0, 0) }),
      () => desk.refused('turnOtherSide', { fixtures: lamps, how: 'other' }),
    ])
      expect(attempt()).toMatch(/position/)
  })

  it('leave the places of a spread to those that turn', () => {
    const target = desk.choose.target('Shore')
    desk.do('aimAtTarget', {
      fixtures: desk.fixtures('11, 61, 12'),
      target,
      offset: vec3(0, 0, 0),
      along: { from: 0, to: 1 },
    })
    expect([11, 12].map((number) => desk.held(number, 'position'))).toMatchObject([{ at: 0 }, { at: 1 }])
  })

  it('take part in palettes and cues with what they have', () => {
    desk.level('61, 62', 'intensity', 0.5)
    desk.do('setTake', { family: 'intensity', take: true })
    desk.record(1, 'Half', 'intensity')
    desk.do('clearHand', { families: ['intensity'], fixtures: null })
    desk.recall('11, 61', 1)
    expect(desk.seen(61).intensity).toBe(0.5)
    expect(desk.held(61, 'intensity')).toMatchObject({ kind: 'link' })
  })

  it('need no channels for pan and tilt', () => {
    const type = desk.seen(61).rigged.type
    const dimmer = plainChannel({ name: 'Dimmer', coarse: 1, fine: null, does: 'intensity', from: 0, to: 1, rest: 0 })
    expect(modeFaults(type, [dimmer])).toEqual([])
    expect(modeFaults(desk.seen(11).rigged.type, [dimmer]).filter(({ severity }) => severity === 'wrong')).toHaveLength(
      2,
    )
  })
})
