import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { asFixtureId } from '../show/ids'
import { FAN_CURVES, FAN_KEEPS, fanPlaces, fanWeight, rangeValue } from './fan'

const ids = (...names: string[]) => names.map(asFixtureId)
const spread = (parts: string[][], run: 'within' | 'across', curve: 'even' | 'eased' = 'even') =>
  fanPlaces({ parts: parts.map((part) => ids(...part)), run, curve }).map(({ fixture, t }) => [fixture, t])

describe('places in a fan', () => {
  it('run over the selection, over its parts, or inside each', () => {
    expect(spread([['a', 'b', 'c']], 'within')).toEqual([
      ['a', 0],
      ['b', 0.5],
      ['c', 1],
    ])
    expect(
      spread(
        [
          ['a', 'b'],
          ['c', 'd'],
        ],
        'across',
      ).map(([, t]) => t),
    ).toEqual([0, 0, 1, 1])
    expect(
      spread(
        [
          ['a', 'b'],
          ['c', 'd'],
        ],
        'within',
      ).map(([, t]) => t),
    ).toEqual([0, 1, 0, 1])
  })
  it('put one alone in the middle, and count none twice', () => {
    expect(spread([['a']], 'within')).toEqual([['a', 0.5]])
    expect(spread([['a', 'b', 'a']], 'within').map(([id]) => id)).toEqual(['a', 'b'])
  })
  it('eased lie nearer to the ends, the middle and the ends where they were', () => {
    expect(spread([['a', 'b', 'c', 'd', 'e']], 'within', 'eased').map(([, t]) => t)).toEqual([
      0, 0.15625, 0.5, 0.84375, 1,
    ])
  })
})

describe('what is kept', () => {
  const weights = (keep: (typeof FAN_KEEPS)[number]) => [0, 0.5, 1].map((t) => fanWeight(t, keep))
  it('stays, and the rest is spread', () => {
    expect(weights('first')).toEqual([0, 0.5, 1])
    expect(weights('last')).toEqual([1, 0.5, 0])
    expect(weights('middle')).toEqual([-1, 0, 1])
    expect(weights('ends')).toEqual([0, 1, 0])
  })
  it('of a typed range: from the first to the last, or from both ends to the middle', () => {
    expect([0, 0.5, 1].map((t) => rangeValue(t, 'first', 10, 20))).toEqual([10, 15, 20])
    expect([0, 0.5, 1].map((t) => rangeValue(t, 'ends', 10, 20))).toEqual([10, 20, 10])
  })
  it('never spreads further than it is told, and reversed order mirrors a fan', () => {
    const names = Array.from({ length: 12 }, (_, i) => `f${i}`)
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 12 }),
        fc.constantFrom(...FAN_KEEPS),
        fc.constantFrom(...FAN_CURVES),
        (count, keep, curve) => {
          const part = names.slice(0, count)
          const ts = spread([part], 'within', curve).map(([, t]) => Number(t))
          for (const t of ts) expect(Math.abs(fanWeight(t, keep))).toBeLessThanOrEqual(1)
          ts.forEach((t, i) => expect(t + (ts.at(-1 - i) ?? 0)).toBeCloseTo(1, 12))
        },
      ),
    )
  })
})
