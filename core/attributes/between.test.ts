import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { numberBetween } from './between'

const ROUND = { min: -180, max: 180 }

describe('a number part of the way', () => {
  it.each([
    [0, 10, 0.25, 'runs', { min: 0, max: 10 }, 2.5],
    [2, 5, 0.01, 'snaps', { min: 0, max: 7 }, 5],
    [2, 5, 0, 'snaps', { min: 0, max: 7 }, 2],
    [170, -170, 0.5, 'shorter way', ROUND, 180],
    [170, -170, 0.75, 'shorter way', ROUND, -175],
    [-170, 170, 0.25, 'shorter way', ROUND, -175],
    [10, 50, 0.5, 'shorter way', ROUND, 30],
    // Half a turn goes up; a range of less than a turn knows one way only.
    [0, 180, 0.5, 'shorter way', ROUND, 90],
    [80, -80, 0.5, 'shorter way', { min: -90, max: 90 }, 0],
  ] as const)('from %d to %d at %d, %s in %o, is %d', (from, to, t, fade, range, expected) => {
    expect(numberBetween(from, to, t, fade, range)).toBeCloseTo(expected, 9)
  })

  it('stays in its range, begins and ends where it should, and never turns more than half a turn', () => {
    const angle = fc.double({ min: -270, max: 270, noNaN: true })
    fc.assert(
      fc.property(angle, angle, fc.double({ min: 0, max: 1, noNaN: true }), (from, to, t) => {
        const range = { min: -270, max: 270 }
        const at = (part: number) => numberBetween(from, to, part, 'shorter way', range)
        expect(at(0)).toBe(from)
        expect(at(1)).toBe(to)
        expect(at(t)).toBeGreaterThanOrEqual(-270)
        expect(at(t)).toBeLessThanOrEqual(270)
        const off = ((((at(t) - from) % 360) + 540) % 360) - 180
        expect(Math.abs(off)).toBeLessThanOrEqual(180 * t + 1e-6)
      }),
    )
  })
})
