/** What people type in fields: numbers, names that are free, outlines. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { mirroredName, nextName } from '#core/show/freeNames'
import { freeNumberAfter, freeNumbers, nextNumber } from '#core/show/freeNumbers'
import { shortNumber } from '#core/show/shortNumber'
import { numberTyped } from '#core/show/numberTyped'
import { outlineInLine, outlineInWords, readOutline } from '#core/venue/outlineText'

describe('numbers', () => {
  it('are read with a point or a comma and either minus; anything else is none', () => {
    expect(['1.5', ' 1,5 ', '−2', '0'].map(numberTyped)).toEqual([1.5, 1.5, -2, 0])
    expect(['', '  ', 'abc', '1.2.3', '1 2', 'Infinity'].map(numberTyped)).toEqual(Array(6).fill(null))
  })

  it('are written so that they are read as what they were, to the digits asked for', () => {
    fc.assert(
      fc.property(fc.double({ min: -1000, max: 1000, noNaN: true }), (number) => {
        const text = shortNumber(number, 3)
        expect(text).not.toBe('-0')
        expect(Math.abs((numberTyped(text) ?? NaN) - number)).toBeLessThanOrEqual(0.0005 + 1e-9)
      }),
    )
  })
})

describe('names that are free', () => {
  it('go on from the number a name ends in, past all that are taken, whatever their case', () => {
    expect(nextName('Bar 1', ['Bar 1', 'bar 2'])).toBe('Bar 3')
    expect(nextName('Boom', [])).toBe('Boom 2')
  })
  it('change sides where a name has one and the other is free', () => {
    expect(mirroredName('Boom left', [])).toBe('Boom right')
    expect(mirroredName('Boom left', ['Boom Right'])).toBe('Boom left 2')
  })
  it('are numbers above all that are taken, or the free ones between', () => {
    const taken = [{ number: 3 }, { number: 1 }, { number: 4.5 }]
    expect([nextNumber(taken), nextNumber([])]).toEqual([5, 1])
    expect(freeNumbers(taken, 0.5, 3)).toEqual([2, 4, 5])
    expect([freeNumberAfter(taken, 2.5), freeNumberAfter(taken, 0.5)]).toEqual([4, 2])
  })
})

describe('an outline', () => {
  const corner = fc.record({ x: fc.integer({ min: -9999, max: 9999 }), y: fc.integer({ min: -9999, max: 9999 }) })
  it('is read back as it was written, to the millimetre', () => {
    fc.assert(
      fc.property(fc.array(corner, { minLength: 3, maxLength: 20 }), (corners) => {
        const outline = corners.map(({ x, y }) => ({ x: x / 1000, y: y / 1000 }))
        for (const write of [outlineInWords, outlineInLine])
          expect(readOutline(write(outline))).toEqual({ ok: true, outline })
      }),
    )
  })
  it('says which line is no corner, and wants three', () => {
    expect(readOutline('-7 0\n7;0\n\nup there')).toMatchObject({
      ok: false,
      trouble: expect.stringContaining('Corner 4'),
    })
    expect(readOutline('-7 0\n7 0')).toMatchObject({ ok: false, trouble: expect.stringContaining('three corners') })
  })
})
