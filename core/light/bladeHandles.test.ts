import fc from 'fast-check'
import { expect, it } from 'vitest'
import { BLADE_SIDES } from '../attributes/catalogue'
import { angleAt, bladeHandles, bladeOfCorners, cornerAt, depthAt, frameTurnAt } from './bladeHandles'
import { bladeEdges, PLAIN_LIGHT } from './gate'

const blade = fc.record({
  side: fc.constantFrom(...BLADE_SIDES),
  depth: fc.double({ min: 0, max: 1, noNaN: true }),
  angle: fc.double({ min: -80, max: 80, noNaN: true }),
})
const frame = fc.double({ min: -90, max: 90, noNaN: true })

it('handles of a blade lie on its edge, and drawn to where they are they change nothing', () => {
  fc.assert(
    fc.property(blade, frame, (one, frameTurn) => {
      const { middle, ends } = bladeHandles(one, frameTurn)
      const [edge] = bladeEdges({ ...PLAIN_LIGHT, blades: [one], frameTurn })
      for (const [x, y] of [middle, ...ends])
        expect((edge?.normal[0] ?? 0) * x + (edge?.normal[1] ?? 0) * y).toBeCloseTo(edge?.reach ?? NaN, 9)
      expect(depthAt(one.side, middle, frameTurn)).toBeCloseTo(one.depth, 9)
      expect(angleAt(one, 0, ends[0], frameTurn)).toBeCloseTo(one.angle, 9)
      expect(angleAt(one, 1, ends[1], frameTurn)).toBeCloseTo(one.angle, 9)
    }),
  )
})

it('a blade drawn beyond the rim is out or in as far as it goes; the frame follows its mark', () => {
  expect([depthAt('top', [0.3, 5], 0), depthAt('top', [0, -5], 0)]).toEqual([0, 1])
  expect([frameTurnAt([0, 1]), frameTurnAt([1, 0]), frameTurnAt([-1, 0])]).toEqual([0, 90, -90])
})

it('a blade of two corners runs through both, and a corner drawn to where its edge is stays', () => {
  const level = fc.double({ min: 0, max: 1, noNaN: true })
  fc.assert(
    fc.property(fc.constantFrom(...BLADE_SIDES), level, level, frame, (side, first, second, frameTurn) => {
      const one = bladeOfCorners(side, first, second)
      const [edge] = bladeEdges({ ...PLAIN_LIGHT, blades: [one] })
      const out = { top: [0, 1], right: [1, 0], bottom: [0, -1], left: [-1, 0] }[side]
      const [ox = 0, oy = 0] = out
      for (const [corner, way] of [
        [first, -1],
        [second, 1],
      ] as const) {
        // Clockwise from outward: right of what comes in at the top.
        const [x, y] = [oy * way + ox * (1 - 2 * corner), -ox * way + oy * (1 - 2 * corner)]
        expect((edge?.normal[0] ?? 0) * x + (edge?.normal[1] ?? 0) * y).toBeCloseTo(edge?.reach ?? NaN, 9)
      }
      const { ends } = bladeHandles(one, frameTurn)
      expect(cornerAt(side, 1, first, ends[1], frameTurn)).toBeCloseTo(second, 6)
      expect(cornerAt(side, 0, second, ends[0], frameTurn)).toBeCloseTo(first, 6)
    }),
  )
})
