import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { colourOfLevels, uniformOf, WHITE, type Chromaticity } from './colour'
import { insertFlags, lookOfFlags, type Flag } from './flags'

const CYAN: Flag = { x: 0.16, y: 0.3, flux: 0.4 }
const MAGENTA: Flag = { x: 0.34, y: 0.14, flux: 0.16 }
const YELLOW: Flag = { x: 0.45, y: 0.52, flux: 0.82 }
const FLAGS = [CYAN, MAGENTA, YELLOW]
const SOURCE = { x: 0.32, y: 0.335 }

const apart = (a: Chromaticity, b: Chromaticity) => {
  const [[u, v], [otherU, otherV]] = [uniformOf(a), uniformOf(b)]
  return Math.hypot(u - otherU, v - otherV)
}
const GRID = Array.from({ length: 13 ** 3 }, (_, n) =>
  [n % 13, Math.floor(n / 13) % 13, Math.floor(n / 169)].map((k) => k / 12),
).map((levels) => ({ levels, look: lookOfFlags(FLAGS, SOURCE, levels) }))
const level = fc.double({ min: 0, max: 1, noNaN: true })

describe('flags in front of a source', () => {
  it('let it through when they are out, and look as they are said to when one is all the way in', () => {
    expect(apart(lookOfFlags(FLAGS, SOURCE, [0, 0, 0]), SOURCE)).toBeLessThan(1e-9)
    for (const [i, flag] of FLAGS.entries())
      expect(apart(lookOfFlags(FLAGS, SOURCE, [0, 0, 0].with(i, 1)), flag)).toBeLessThan(0.01)
  })

  it('meet every colour that some position of them has, as bright as that at least', () => {
    fc.assert(
      fc.property(fc.constantFrom(...GRID), ({ look }) => {
        const { levels } = insertFlags(FLAGS, SOURCE, { ...look, level: 1 })
        const made = lookOfFlags(FLAGS, SOURCE, levels)
        expect(apart(made, look)).toBeLessThan(5e-4)
      }),
      { numRuns: 200 },
    )
  })

  it('come as near as any position of them where the colour cannot be had', () => {
    fc.assert(
      fc.property(level, level, level, (red, green, blue) => {
        fc.pre(Math.max(red, green, blue) > 0.01)
        const wanted = colourOfLevels(red, green, blue)
        const { made, levels } = insertFlags(FLAGS, SOURCE, wanted)
        expect(apart(made, lookOfFlags(FLAGS, SOURCE, levels))).toBeLessThan(1e-5)
        const best = Math.min(...GRID.map(({ look }) => apart(look, wanted)))
        expect(apart(made, wanted)).toBeLessThanOrEqual(best + 1e-3)
      }),
      { numRuns: 100 },
    )
  })

  it('stay out for white of a white source, and are out of the way where there are none', () => {
    for (const one of insertFlags(FLAGS, SOURCE, { ...SOURCE, level: 1 }).levels) expect(one).toBeLessThan(0.02)
    expect(insertFlags([], SOURCE, WHITE).levels).toEqual([])
  })
})
