import { describe, expect, it } from 'vitest'
import { changedNumber, typedChange, type NumberChange } from './change'

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
