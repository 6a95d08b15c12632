import fc from 'fast-check'
import { expect, it } from 'vitest'
import { BLADE_SIDES } from '../attributes/catalogue'
import { angleAt, bladeHandles, depthAt, frameTurnAt } from './bladeHandles'
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
