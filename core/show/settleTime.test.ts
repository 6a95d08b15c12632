import { expect, it } from 'vitest'
import { OSTREL_TYPES } from '#demo/types'
import { LEADING } from '../attributes/catalogue'
import { rangeSaid } from './attributeRange'
import { fixtureType } from './entities'
import { endToEndOf, settleTime } from './settleTime'

const number = (n: number) => ({ kind: 'number', number: n }) as const
const typeThat = (is: (type: (typeof OSTREL_TYPES)[number]) => boolean) => {
  const found = OSTREL_TYPES.find(is)
  if (!found) throw new Error('there is no such type')
  return fixtureType.parse(Object.fromEntries(Object.entries(found).filter(([key]) => key in fixtureType.shape)))
}

it('wheels and lenses take the part of their time that they go through, as their type says, turns the shorter way', () => {
  const profile = typeThat(({ has }) => has.includes('goboTurn') && has.includes('iris'))
  expect(settleTime(profile, 'iris', number(0), number(0.5))).toBeCloseTo(0.3, 9)
  expect(settleTime(profile, 'iris', null, number(1))).toBe(0)
  expect(settleTime(profile, 'goboTurn', number(-170), number(170))).toBeCloseTo((1.2 * 20) / 360, 9)
  expect(settleTime(profile, LEADING.width, number(20), { kind: 'pool', diameter: 2 })).toBe(1)
  const slow = { ...profile, ranges: [{ ...rangeSaid(profile, 'iris'), endToEnd: 4 }] }
  expect(fixtureType.parse(slow)).toEqual(slow)
  expect(settleTime(slow, 'iris', number(1), number(0))).toBe(4)
})

it('light of emitters is another at once; flags move', () => {
  const of = (kind: 'emitters' | 'flags') => typeThat(({ mixing }) => mixing?.kind === kind)
  const [red, blue] = [0.7, 0.2].map((x) => ({ kind: 'colour', x, y: 0.3, level: 1 }) as const)
  expect(settleTime(of('emitters'), LEADING.colour, red ?? null, blue ?? null)).toBe(0)
  expect(settleTime(of('flags'), LEADING.colour, red ?? null, blue ?? null)).toBeGreaterThan(0)
  expect(endToEndOf(of('emitters'), LEADING.light)).toBeNull()
})
