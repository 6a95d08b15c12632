import { describe, expect, it } from 'vitest'
import { changedAmount, changedNumber, typedAmount, typedChange, type AmountChange, type NumberChange } from './change'
import type { AttributeRange as AmountRange } from '../show/attributeRange'
import type { Amount } from '../show/values'

const zoom = { min: 6, max: 40, home: 23, unit: 'degrees', fastest: null } as const
const wheel = { min: 0, max: 7, home: 0, unit: 'slot', fastest: null } as const

describe('a changed number', () => {
  it.each<[number, NumberChange, number | null]>([
    [10, { how: 'to', number: 20 }, 20],
    [10, { how: 'to', number: 41 }, null],
    [10, { how: 'by', number: 100 }, 40],
    [10, { how: 'by', number: -100 }, 6],
    [10, { how: 'times', factor: 0.9 }, 9],
    [10, { how: 'min' }, 6],
    [10, { how: 'max' }, 40],
    [10, { how: 'home' }, 23],
  ])('%d %o', (now, change, expected) => expect(changedNumber(now, change, zoom)).toEqual(expected))
  it('of a wheel is a whole slot', () => {
    expect(changedNumber(3, { how: 'times', factor: 0.5 }, wheel)).toBe(2)
  })
})

describe('a typed value', () => {
  it.each<[string, boolean, NumberChange | null]>([
    ['50', false, { how: 'to', number: 50 }],
    ['+5', false, { how: 'by', number: 5 }],
    ['-5', false, { how: 'by', number: -5 }],
    ['−5', true, { how: 'to', number: -5 }],
    ['+5', true, { how: 'by', number: 5 }],
    ['+-5', true, { how: 'by', number: -5 }],
    ['by -5', true, { how: 'by', number: -5 }],
    ['by 5', true, { how: 'by', number: 5 }],
    ['-10 %', true, { how: 'times', factor: 0.9 }],
    ['+10%', false, { how: 'times', factor: 1.1 }],
    ['-200 %', false, { how: 'times', factor: 0 }],
    ['50 %', false, { how: 'to', number: 50 }],
    ['2,5', false, { how: 'to', number: 2.5 }],
    ['.5', false, { how: 'to', number: 0.5 }],
    ['--5', true, null],
    ['full', false, null],
    ['', false, null],
  ])('%s (signed %s)', (text, signed, expected) => {
    const read = typedChange(text, signed)
    if (read?.how === 'times' && expected?.how === 'times') expect(read.factor).toBeCloseTo(expected.factor, 12)
    else expect(read).toEqual(expected)
  })
})

describe('what turns', () => {
  const turn = { min: -180, max: 180, home: 0, unit: 'turn', fastest: 60 } as const
  const at = (number: number): Amount => ({ kind: 'number', number })
  const spinning = (rpm: number): Amount => ({ kind: 'spin', rpm })

  it.each<[string, Amount, AmountChange, AmountRange, Amount | null]>([
    ['begins to spin', at(30), { how: 'spin', rpm: 12 }, turn, spinning(12)],
    ['spins no faster than it can', at(30), { how: 'spin', rpm: -61 }, turn, null],
    ['cannot spin where nothing turns', at(10), { how: 'spin', rpm: 1 }, zoom, null],
    ['spins faster by so much', spinning(12), { how: 'by', number: 8 }, turn, spinning(20)],
    ['spins at most as fast as it can', spinning(50), { how: 'by', number: 80 }, turn, spinning(60)],
    ['spins slower by a part', spinning(-20), { how: 'times', factor: 0.5 }, turn, spinning(-10)],
    ['stands again at an angle', spinning(12), { how: 'to', number: 45 }, turn, at(45)],
    ['stands again at home', spinning(12), { how: 'home' }, turn, at(0)],
    ['turns by so much', at(30), { how: 'by', number: -40 }, turn, at(-10)],
  ])('%s', (_, now, change, range, expected) => expect(changedAmount(now, change, range)).toEqual(expected))

  it('is typed in degrees, or in turns a minute', () => {
    expect(typedAmount('12 rpm', true)).toEqual({ how: 'spin', rpm: 12 })
    expect(typedAmount('-0,5rpm', false)).toEqual({ how: 'spin', rpm: -0.5 })
    expect(typedAmount('45', true)).toEqual({ how: 'to', number: 45 })
    expect(typedAmount('+5 rpm', true)).toEqual({ how: 'by', number: 5 })
    expect(typedAmount('rpm', true)).toBeNull()
  })
})
