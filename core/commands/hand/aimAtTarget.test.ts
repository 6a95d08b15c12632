import { describe, expect, it } from 'vitest'
import { distance, vec3 } from '../../geometry/vector'
import { missDistance } from '../../kinematics/forward'
import { Desk } from '../../../tests/support/smallShow'

describe('aimAtTarget', () => {
  it('puts each fixture’s light on the target and says so', () => {
    const desk = new Desk()
    expect(desk.aim('11-14', 'Bow')).toBe('aim 4 fixtures at Bow')
    const bow = vec3(-2, 4.5, 0.8)
    for (const number of [11, 12, 13, 14]) {
      const { position, beam } = desk.seen(number)
      expect(position.state).toBe('reached')
      expect(distance(position.point ?? vec3(0, 0, 0), bow)).toBeLessThan(1e-9)
      expect(missDistance(beam, bow)).toBeLessThan(1e-4)
    }
  })

  it('keeps the way round and the turn it chose, nearest to where the head was', () => {
    const desk = new Desk()
    desk.do('turnHeads', {
      fixtures: desk.fixtures('11'),
      pan: { how: 'to', degrees: 200 },
      tilt: { how: 'to', degrees: -30 },
    })
    desk.aim('11', 'Bow')
    const near = desk.seen(11).position
    expect(desk.held(11, 'position')).toMatchObject({ kind: 'aim', choice: { side: near.side, pan: near.pose.pan } })
    expect(near.side).toBe('negative')
    expect(Math.abs(near.pose.pan - 200)).toBeLessThan(120)
    const fresh = new Desk()
    fresh.aim('11', 'Bow')
    expect(fresh.seen(11).position.side).toBe('positive')
  })

  it('spreads the selection along a line in its order, both ways', () => {
    const desk = new Desk()
    const spread = (from: number, to: number) => {
      desk.do('aimAtTarget', {
        fixtures: desk.fixtures('11-14'),
        target: desk.choose.target('Shore'),
        offset: vec3(0, 0, 0),
        along: { from, to },
      })
      return [11, 12, 13, 14].map((number) => Math.round(desk.seen(number).position.point?.x ?? NaN))
    }
    expect(spread(0, 1)).toEqual([-3, -1, 1, 3])
    expect(spread(1, 0)).toEqual([3, 1, -1, -3])
  })

  it('aims at an offset of a target, and at a free place without one', () => {
    const desk = new Desk()
    expect(desk.aim('12', 'Mark', vec3(0.5, -1.2, 0))).toBe(
      'aim fixture 12 at Mark, 1.20 m downstage, 0.50 m to stage left',
    )
    expect(desk.seen(12).position.point).toEqual(vec3(0.5, 0.8, 0))
    const free = { fixtures: desk.fixtures('12'), target: null, offset: vec3(1, 5, 0), along: null }
    expect(desk.do('aimAtTarget', free)).toBe('aim fixture 12 at the stage')
    expect(desk.seen(12).position.point).toEqual(vec3(1, 5, 0))
  })

  it('says what is out of reach by how much, and still points as near as it can', () => {
    const desk = new Desk()
    desk.aim('41', 'Mark', vec3(0, 0, 40))
    const { position } = desk.seen(41)
    expect(position.state).toBe('out of reach')
    expect(position.shortDegrees).toBeGreaterThan(0)
    expect(position.missMetres).toBeGreaterThan(1)
  })

  it('refuses a target that has no place in this venue', () => {
    const desk = new Desk()
    const target = desk.choose.target('Mark')
    desk.show = { ...desk.show, all: { ...desk.show.all, targetPlace: new Map() } }
    const message = desk.refused('aimAtTarget', {
      fixtures: desk.fixtures('11'),
      target,
      offset: vec3(0, 0, 0),
      along: null,
    })
    expect(message).toContain('no place in this venue')
  })
})
