import { describe, expect, it } from 'vitest'
import { Desk } from '../../../tests/support/smallShow'

describe('turnHeads', () => {
  it('sets one axis and leaves the other where the light stands', () => {
    const desk = new Desk()
    desk.aim('11', 'Bow')
    const before = desk.seen(11).position.pose
    desk.do('turnHeads', { fixtures: desk.fixtures('11'), pan: { how: 'to', degrees: -33.5 }, tilt: null })
    expect(desk.held(11, 'position')).toEqual({ kind: 'angles', pan: -33.5, tilt: before.tilt })
  })

  it('turns by so much and stops at the stop', () => {
    const desk = new Desk()
    const turn = (degrees: number) =>
      desk.do('turnHeads', { fixtures: desk.fixtures('11'), pan: null, tilt: { how: 'by', degrees } })
    turn(100)
    expect(desk.seen(11).position.pose.tilt).toBe(100)
    turn(100)
    expect(desk.seen(11).position.pose.tilt).toBe(132)
  })

  it('refuses a typed angle beyond the stops, naming fixture and limits, and changes nothing', () => {
    const desk = new Desk()
    const before = desk.show
    expect(
      desk.refused('turnHeads', { fixtures: desk.fixtures('13, 14'), pan: null, tilt: { how: 'to', degrees: 140 } }),
    ).toBe('Fixture 13 cannot: tilt 140° is beyond its stops, -132° to 132°.')
    expect(desk.show).toBe(before)
  })
})
