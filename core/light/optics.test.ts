import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { candelaOffAxis, fieldAngle, illuminance, peakCandela, zoomRange } from './optics'

const TABLE = [
  { beam: 6, field: 7.5, candela: 1000000 },
  { beam: 24, field: 30, candela: 100000 },
  { beam: 48, field: 56, candela: 25000 },
]

describe('the optics of a zoom', () => {
  it('give the table itself at its rows, straight angles and candela by ratio between them', () => {
    for (const row of TABLE)
      expect([fieldAngle(TABLE, row.beam), peakCandela(TABLE, row.beam)]).toEqual([row.field, row.candela])
    expect(fieldAngle(TABLE, 15)).toBeCloseTo(18.75, 9)
    expect(peakCandela(TABLE, 15)).toBeCloseTo(Math.sqrt(1000000 * 100000), 3)
    expect(peakCandela(TABLE, 2)).toBe(1000000)
    expect(peakCandela(TABLE, 90)).toBe(25000)
  })

  it('fall to a half at the beam angle and a tenth at the field angle, and never rise outwards', () => {
    fc.assert(
      fc.property(fc.double({ min: 6, max: 48, noNaN: true }), (beam) => {
        const peak = peakCandela(TABLE, beam)
        expect(candelaOffAxis(TABLE, beam, 0)).toBeCloseTo(peak, 6)
        expect(candelaOffAxis(TABLE, beam, -beam / 2) / peak).toBeCloseTo(0.5, 9)
        expect(candelaOffAxis(TABLE, beam, fieldAngle(TABLE, beam) / 2) / peak).toBeCloseTo(0.1, 9)
        expect(candelaOffAxis(TABLE, beam, 3)).toBeGreaterThan(candelaOffAxis(TABLE, beam, 3.5))
      }),
    )
  })

  it('of a fixed lens have no range', () => {
    expect(zoomRange(TABLE.slice(0, 1))).toBeNull()
    expect(zoomRange(TABLE)).toEqual({ min: 6, max: 48 })
  })

  it('light a surface by the square of the throw and the cosine of the incidence', () => {
    expect(illuminance(60000, 0, 10)).toBe(600)
    expect(illuminance(60000, 60, 10)).toBeCloseTo(300, 9)
    expect(illuminance(60000, 120, 10)).toBe(0)
  })
})
