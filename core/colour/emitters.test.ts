import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { colourDifference, colourOfLevels, tristimulus, uniformOf, WHITE, type Chromaticity } from './colour'
import { lookOfEmitters, mixEmitters, nearestInGamut, type Emitter } from './emitters'

const RED = { x: 0.69, y: 0.305, flux: 0.6 }
const AMBER = { x: 0.57, y: 0.42, flux: 0.8 }
const LIME = { x: 0.41, y: 0.56, flux: 2 }
const GREEN = { x: 0.17, y: 0.7, flux: 1 }
const BLUE = { x: 0.14, y: 0.05, flux: 0.25 }
const FIVE = [RED, AMBER, LIME, GREEN, BLUE]
const THREE = [RED, GREEN, BLUE]

const flux = (emitters: readonly Emitter[], levels: readonly number[]) =>
  emitters.reduce((sum, { flux: full }, i) => sum + full * (levels[i] ?? 0), 0)

function mixed(emitters: readonly Emitter[], levels: readonly number[]): Chromaticity {
  let [x, y, z] = [0, 0, 0]
  for (const [i, emitter] of emitters.entries()) {
    const light = tristimulus(emitter)
    const part = emitter.flux * (levels[i] ?? 0)
    ;[x, y, z] = [x + light.x * part, y + part, z + light.z * part]
  }
  return { x: x / (x + y + z), y: y / (x + y + z) }
}

const apart = (a: Chromaticity, b: Chromaticity) => {
  const [[u, v], [otherU, otherV]] = [uniformOf(a), uniformOf(b)]
  return Math.hypot(u - otherU, v - otherV)
}

/** Every mixture of levels in steps of an eighth, and what it looks like. */
const GRID = (() => {
  let all: number[][] = [[]]
  for (let i = 0; i < FIVE.length; i += 1)
    all = all.flatMap((levels) => Array.from({ length: 9 }, (_, k) => [...levels, k / 8]))
  return all.slice(1).map((levels) => ({ levels, place: mixed(FIVE, levels), flux: flux(FIVE, levels) }))
})()

const place = fc.record({
  x: fc.double({ min: 0.05, max: 0.7, noNaN: true }),
  y: fc.double({ min: 0.05, max: 0.8, noNaN: true }),
})
const level = fc.double({ min: 0, max: 1, noNaN: true })

describe('mixing of emitters', () => {
  it('meets every colour that some mixture has, and none of the same colour is brighter', () => {
    fc.assert(
      fc.property(fc.constantFrom(...GRID), ({ place: wanted, flux: light }) => {
        const { levels, made } = mixEmitters(FIVE, { ...wanted, level: 1 }, 'brightest')
        expect(apart(made, wanted)).toBeLessThan(1e-6)
        expect(apart(mixed(FIVE, levels), wanted)).toBeLessThan(1e-4)
        expect(flux(FIVE, levels)).toBeGreaterThanOrEqual(light - 1e-4)
      }),
      { numRuns: 150 },
    )
  })

  it('comes as near as any mixture where the colour cannot be had', () => {
    fc.assert(
      fc.property(place, (wanted) => {
        const made = mixed(FIVE, mixEmitters(FIVE, { ...wanted, level: 1 }, 'brightest').levels)
        const best = Math.min(...GRID.map((one) => apart(one.place, wanted)))
        expect(apart(made, wanted)).toBeLessThanOrEqual(best + 1e-4)
      }),
      { numRuns: 25 },
    )
  })

  it('is fuller, not brighter, and of the same colour where the fullest is asked for', () => {
    fc.assert(
      fc.property(fc.constantFrom(...GRID), ({ place: wanted }) => {
        const brightest = mixEmitters(FIVE, { ...wanted, level: 1 }, 'brightest').levels
        const fullest = mixEmitters(FIVE, { ...wanted, level: 1 }, 'fullest').levels
        const uneven = (levels: readonly number[]) =>
          Math.hypot(...levels.map((one) => one / Math.max(1e-9, flux(FIVE, levels))))
        expect(apart(mixed(FIVE, fullest), wanted)).toBeLessThan(1e-4)
        expect(flux(FIVE, fullest)).toBeLessThanOrEqual(flux(FIVE, brightest) + 1e-4)
        expect(uneven(fullest)).toBeLessThanOrEqual(uneven(brightest) + 1e-4)
      }),
      { numRuns: 150 },
    )
  })

  it('of three gives back the levels a colour was made of', () => {
    const primaries = [
      { x: 0.64, y: 0.33, flux: 0.2126390058715104 },
      { x: 0.3, y: 0.6, flux: 0.7151686787677559 },
      { x: 0.15, y: 0.06, flux: 0.0721923153607337 },
    ]
    fc.assert(
      fc.property(level, level, level, (red, green, blue) => {
        fc.pre(Math.max(red, green, blue) > 1e-3)
        const { levels } = mixEmitters(primaries, colourOfLevels(red, green, blue), 'brightest')
        for (const [i, wanted] of [red, green, blue].entries()) expect(levels[i]).toBeCloseTo(wanted, 4)
      }),
    )
  })

  it('looks like what it was mixed for', () => {
    fc.assert(
      fc.property(level, level, level, (red, green, blue) => {
        fc.pre(Math.max(red, green, blue) > 0.01)
        const wanted = { ...nearestInGamut(THREE, colourOfLevels(red, green, blue)), level: Math.max(red, green, blue) }
        const look = lookOfEmitters(THREE, mixEmitters(THREE, wanted, 'brightest').levels)
        expect(colourDifference(wanted, look)).toBeLessThan(0.05)
        expect(look.level).toBeCloseTo(wanted.level, 2)
      }),
    )
  })

  it('mixes nothing of no emitters, one of one, and a line of two', () => {
    expect(mixEmitters([], WHITE, 'brightest').levels).toEqual([])
    expect(mixEmitters([RED], WHITE, 'brightest').levels).toEqual([1])
    const between = mixed([RED, GREEN], [0.5, 1])
    const { levels } = mixEmitters([RED, GREEN], { ...between, level: 1 }, 'fullest')
    expect(levels[0]).toBeCloseTo(0.5, 4)
    expect(levels[1]).toBeCloseTo(1, 4)
  })
})
