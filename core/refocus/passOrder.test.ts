import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { distance, vec3, type Vec3 } from '../geometry/vector'
import { walk } from './passOrder'

const metres = fc.integer({ min: -100, max: 100 }).map((tenths) => tenths / 10)
const spots = fc.array(fc.record({ x: metres, y: metres }), { minLength: 1, maxLength: 7 })
const lengthOf = (way: readonly Vec3[]) => way.slice(1).reduce((sum, to, i) => sum + distance(way[i] ?? to, to), 0)

/** Every way through some places. */
function waysThrough(places: readonly Vec3[]): Vec3[][] {
  if (places.length <= 1) return [[...places]]
  return places.flatMap((first, i) => waysThrough(places.filter((_, k) => k !== i)).map((rest) => [first, ...rest]))
}

describe('the walk', () => {
  it('goes once to each, from the front, and hardly further than the shortest there is', () => {
    fc.assert(
      fc.property(spots, (points) => {
        const places = points.map(({ x, y }) => vec3(x, y, 0))
        const way = walk(places.map((at) => ({ at }))).map(({ at }) => at)
        expect(new Set(way)).toEqual(new Set(places))
        const [first] = way
        expect(first?.y).toBe(Math.min(...places.map(({ y }) => y)))
        const ways = waysThrough(places).filter(([from]) => from === first)
        expect(lengthOf(way)).toBeLessThanOrEqual(1.35 * Math.min(...ways.map(lengthOf)) + 1e-9)
      }),
      { numRuns: 60 },
    )
  })
})
