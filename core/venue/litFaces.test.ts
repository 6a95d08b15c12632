import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { angleBetween, length, normalise, subtract, vec3, type Vec3 } from '../geometry/vector'
import { asSetPieceId } from '../show/ids'
import { harbourHall } from '#demo/stage'
import { litFaces, type LitFace } from './litFaces'
import { firstHit } from './obstruct'
import { isInside } from './outline'
import type { PlacedPrism } from './solids'
import { surfacesFrom } from './surfaces'

const piece = asSetPieceId('box')
const box: PlacedPrism = {
  piece,
  outline: [
    { x: -0.5, y: 3 },
    { x: 0.5, y: 3 },
    { x: 0.5, y: 4 },
    { x: -0.5, y: 4 },
  ],
  bottom: 0,
  top: 2,
}
const floorWith = (prisms: readonly PlacedPrism[]) => surfacesFrom(harbourHall.levels, prisms)
const beam = (lens: Vec3, to: Vec3) => ({ lens, direction: normalise(subtract(to, lens)) })

function area(corners: readonly Vec3[]): number {
  return (
    corners.reduce((sum, p, i) => {
      const next = corners[(i + 1) % corners.length] ?? p
      return sum + p.x * next.y - next.x * p.y
    }, 0) / 2
  )
}
const floorArea = (faces: readonly LitFace[]) =>
  faces.filter(({ piece: owner }) => owner === null).reduce((sum, { rim }) => sum + Math.abs(area(rim)), 0)

/** Whether a piece of the floor holds a place, or one a hair beside it: a place may lie on a seam. */
function isLit(faces: readonly LitFace[], { x, y }: { x: number; y: number }): boolean {
  const rims = faces.filter(({ piece: owner }) => owner === null).map(({ rim }) => rim)
  return rims.some((rim) => isInside(rim, { x, y }) || isInside(rim, { x: x + 1e-5, y: y + 1e-5 }))
}

/** A wall, half a metre thick, open towards the audience. */
const yard: PlacedPrism = {
  piece,
  outline: [
    { x: -2, y: 2 },
    { x: -1.5, y: 2 },
    { x: -1.5, y: 5 },
    { x: 1.5, y: 5 },
    { x: 1.5, y: 2 },
    { x: 2, y: 2 },
    { x: 2, y: 5.5 },
    { x: -2, y: 5.5 },
  ],
  bottom: 0,
  top: 1.5,
}

describe('where light falls', () => {
  it('is a circle on the floor under a head that looks straight down', () => {
    const faces = litFaces(beam(vec3(0, 0, 8), vec3(0, 0, 0)), 20, floorWith([]))
    const radius = 8 * Math.tan((10 * Math.PI) / 180)
    expect(faces).toHaveLength(1)
    expect(floorArea(faces)).toBeGreaterThan(0.98 * Math.PI * radius ** 2)
    expect(floorArea(faces)).toBeLessThan(1.02 * Math.PI * radius ** 2)
  })

  it('falls on the side that looks at the lens, and not through it', () => {
    const faces = litFaces(beam(vec3(0, -4, 6), vec3(0, 3, 1)), 16, floorWith([box]))
    expect(faces.some(({ normal }) => normal.y === -1)).toBe(true)
    expect(faces.some(({ normal }) => normal.y === 1)).toBe(false)
    expect(isLit(faces, { x: 0, y: 4.3 })).toBe(false)
  })

  it.each([
    ['a box', box],
    ['a wall round three sides of a yard', yard],
  ])('agrees with a ray to every place of the floor round %s', (_, prism) => {
    const coordinate = (min: number, max: number) => fc.double({ min, max, noNaN: true })
    fc.assert(
      fc.property(
        fc.tuple(coordinate(-5, 5), coordinate(-6, 9), coordinate(3, 8)),
        fc.tuple(coordinate(-2, 2), coordinate(1.5, 5.5)),
        fc.tuple(coordinate(-3, 3), coordinate(0, 7)),
        ([x, y, z], [tx, ty], [px, py]) => {
          const lens = vec3(x, y, z)
          const light = beam(lens, vec3(tx, ty, 0))
          const place = vec3(px, py, 0)
          const off = angleBetween(normalise(subtract(place, lens)), light.direction)
          // At the rim and at the edge of a shadow the drawing may differ by a hair.
          const beside = [-0.02, 0, 0.02].flatMap((dx) => [-0.02, 0, 0.02].map((dy) => vec3(px + dx, py + dy, 0)))
          const reached = new Set(beside.map((near) => isReached(prism, lens, near)))
          fc.pre(Math.abs(off - 15) > 0.3 && reached.size === 1)
          expect(isLit(litFaces(light, 30, floorWith([prism])), place)).toBe(off < 15 && reached.has(true))
        },
      ),
      { numRuns: 400 },
    )
  })

  it('lights the open floor inside a wall that goes round it', () => {
    const faces = litFaces(beam(vec3(0, 3.5, 8), vec3(0, 3.5, 0)), 10, floorWith([yard]))
    expect(isLit(faces, { x: 0, y: 3.5 })).toBe(true)
    expect(floorArea(faces)).toBeGreaterThan(0.95 * Math.PI * (8 * Math.tan((5 * Math.PI) / 180)) ** 2)
  })
})

/** Slow and obvious: whether a ray gets from a lens to a place on the floor that the prism does not stand on. */
function isReached(prism: PlacedPrism, lens: Vec3, place: Vec3): boolean {
  const away = subtract(place, lens)
  return !isInside(prism.outline, place) && firstHit([prism], lens, normalise(away), length(away) + 0.02) === null
}
