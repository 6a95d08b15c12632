import { describe, expect, it } from 'vitest'
import { Desk } from '../../tests/support/smallShow'
import { rigOf } from '../show/rig'
import { POOL_RANGE, wheelOf } from './attributeRange'
import { changedNumber } from '../hand/change'

describe('a pool that is changed', () => {
  it('stays what a pool may be across, in metres; what is set beyond that is not taken', () => {
    const to = (number: number) => changedNumber(3, { how: 'to', number }, POOL_RANGE)
    expect([to(0.5), to(200), to(201), to(-1)]).toEqual([0.5, 200, null, null])
    const by = (number: number) => changedNumber(3, { how: 'by', number }, POOL_RANGE)
    expect([by(1.25), by(-10), by(500)]).toEqual([4.25, 0, 200])
    expect(changedNumber(3, { how: 'times', factor: 0.9 }, POOL_RANGE)).toBeCloseTo(2.7, 9)
  })
})

describe('the wheel an attribute turns', () => {
  it('is the first or second of its kind, and none for what turns none', () => {
    const desk = new Desk()
    const type = rigOf(desk.show).get(desk.fixture(41))?.type ?? rigOf(desk.show).get(desk.fixture(11))?.type
    if (!type) throw new Error('nothing hangs')
    const wheel = (kind: 'colour' | 'gobo', name: string) => ({ kind, name, slots: type.wheels[0]?.slots ?? [] })
    const wheels = [wheel('gobo', 'one'), wheel('colour', 'paint'), wheel('gobo', 'two')]
    const named = (attribute: 'gobo' | 'gobo2' | 'colourWheel' | 'zoom') =>
      wheelOf({ ...type, wheels }, attribute)?.name
    expect([named('gobo'), named('gobo2'), named('colourWheel'), named('zoom')]).toEqual([
      'one',
      'two',
      'paint',
      undefined,
    ])
    expect(wheelOf({ ...type, wheels: [] }, 'gobo')).toBeNull()
  })
})
