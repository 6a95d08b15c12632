import { describe, expect, it } from 'vitest'
import { vec3 } from '../../geometry/vector'
import { Desk } from '../../../tests/support/smallShow'

describe('nudgeAim', () => {
  it('moves the place and keeps the target, so that the light still follows it', () => {
    const desk = new Desk()
    desk.aim('11, 12', 'Mark')
    desk.do('nudgeAim', { fixtures: desk.fixtures('11, 12'), by: vec3(0.1, -0.2, 0) })
    expect(desk.seen(11).position.point).toEqual(vec3(0.1, 1.8, 0))
    desk.do('moveTarget', { target: desk.choose.target('Mark'), position: vec3(1, 5, 0) })
    expect(desk.seen(12).position.point).toEqual(vec3(1.1, 4.8, 0))
  })

  it('makes a loose aim of a recalled palette, and leaves the palette alone', () => {
    const desk = new Desk()
    desk.aim('11', 'Mark')
    desk.record(1, 'On the mark')
    desk.do('nudgeAim', { fixtures: desk.fixtures('11'), by: vec3(0, 1, 0) })
    expect(desk.held(11, 'position')).toMatchObject({ kind: 'aim' })
    desk.recall('11', 1)
    expect(desk.seen(11).position.point).toEqual(vec3(0, 2, 0))
  })

  it('moves raw angles by where they land, and refuses light that lands nowhere', () => {
    const desk = new Desk()
    desk.aim('11', 'Mark')
    desk.do('turnHeads', {
      fixtures: desk.fixtures('12'),
      pan: { how: 'to', degrees: 10 },
      tilt: { how: 'to', degrees: -30 },
    })
    const before = desk.seen(12).position.point
    expect(before?.z).toBe(0)
    desk.do('nudgeAim', { fixtures: desk.fixtures('11, 12'), by: vec3(1, 0, 0) })
    const after = desk.seen(12).position.point
    expect((after?.x ?? 0) - (before?.x ?? 0)).toBeCloseTo(1)
    expect(after?.y).toBeCloseTo(before?.y ?? -1)
    expect(desk.held(12, 'position')?.kind).toBe('angles')

    desk.do('turnHeads', { fixtures: desk.fixtures('12'), pan: null, tilt: { how: 'to', degrees: 100 } })
    expect(desk.refused('nudgeAim', { fixtures: desk.fixtures('12'), by: vec3(1, 0, 0) })).toContain(
      'Drop them on a target',
    )
  })
})
