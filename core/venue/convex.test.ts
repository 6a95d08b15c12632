import { polygonArea } from 'd3-polygon'
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { convexPieces, isConvex } from './convex'
import { isInside, type PlanPoint } from './outline'

const areaOf = (outline: readonly PlanPoint[]) => Math.abs(polygonArea(outline.map(({ x, y }) => [x, y])))

/** Outlines bent in and out at random round the middle, against the clock. */
const bent = fc.array(fc.double({ min: 0.3, max: 4, noNaN: true }), { minLength: 3, maxLength: 14 }).map((radii) =>
  radii.map((radius, i): PlanPoint => {
    const turn = (2 * Math.PI * i) / radii.length
    return { x: radius * Math.cos(turn), y: radius * Math.sin(turn) }
  }),
)

it('convex pieces cover the outline they were cut from, each place once', () => {
  fc.assert(
    fc.property(
      bent,
      fc.double({ min: -4, max: 4, noNaN: true }),
      fc.double({ min: -4, max: 4, noNaN: true }),
      (outline, x, y) => {
        const pieces = convexPieces(outline)
        expect(pieces.filter((piece) => !isConvex(piece))).toEqual([])
        expect(pieces.reduce((sum, piece) => sum + areaOf(piece), 0)).toBeCloseTo(areaOf(outline), 6)
        // On a seam a place is in either piece, and by a hair in none.
        const beside = [-1e-6, 1e-6].flatMap((dx) => [-1e-6, 1e-6].map((dy) => ({ x: x + dx, y: y + dy })))
        const isHeld = beside.map((place) => pieces.some((piece) => isInside(piece, place)))
        const should = new Set(beside.map((place) => isInside(outline, place)))
        if (should.size === 1) expect(isHeld).toContain(should.has(true))
      },
    ),
    { numRuns: 300 },
  )
})

it('an outline that crosses itself stays as it is', () => {
  const bow = [
    { x: 0, y: 0 },
    { x: 2, y: 2 },
    { x: 2, y: 0 },
    { x: 0, y: 2 },
    { x: 1, y: 3 },
  ]
  expect(convexPieces(bow)).toEqual([bow])
})
