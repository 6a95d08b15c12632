import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { normalise, subtract, vec3, type Vec3 } from '../geometry/vector'
import { asSetPieceId } from '../show/ids'
import { harbourHall } from '#demo/stage'
import { groundOf, litFaces, type LitFace } from './litFaces'
import { firstHit } from './obstruct'
import { isInside } from './outline'
import type { PlacedPrism } from './solids'

const piece = asSetPieceId('box')
const ground = groundOf(harbourHall)
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
  faces.filter(({ normal }) => normal.z === 1).reduce((sum, { rim }) => sum + Math.abs(area(rim)), 0)

/** Whether a piece of the floor holds a place, or one a hair beside it: a place may lie on a seam. */
function isLit(faces: readonly LitFace[], { x, y }: { x: number; y: number }): boolean {
  const rims = faces.filter(({ normal }) => normal.z === 1).map(({ rim }) => rim)
  return rims.some((rim) => isInside(rim, { x, y }) || isInside(rim, { x: x + 1e-5, y: y + 1e-5 }))
}

describe('where light falls', () => {
  it('is a circle on the floor under a head that looks straight down', () => {
    const faces = litFaces(beam(vec3(0, 0, 8), vec3(0, 0, 0)), 20, ground, [])
    const radius = 8 * Math.tan((10 * Math.PI) / 180)
    expect(faces).toHaveLength(1)
    expect(floorArea(faces)).toBeGreaterThan(0.98 * Math.PI * radius ** 2)
    expect(floorArea(faces)).toBeLessThan(1.02 * Math.PI * radius ** 2)
  })

  it('falls on the side that looks at the lens, and not through it', () => {
    const faces = litFaces(beam(vec3(0, -4, 6), vec3(0, 3, 1)), 16, ground, [box])
    expect(faces.some(({ normal }) => normal.y === -1)).toBe(true)
    expect(faces.some(({ normal }) => normal.y === 1)).toBe(false)
    expect(isLit(faces, { x: 0, y: 4.3 })).toBe(false)
  })

  it('agrees with a ray to every place of the floor', () => {
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
          const away = subtract(place, lens)
          const distance = Math.hypot(away.x, away.y, away.z)
          const way = normalise(away)
          const off =
            (Math.acos(Math.min(1, way.x * light.direction.x + way.y * light.direction.y + way.z * light.direction.z)) *
              180) /
            Math.PI
          // At the rim and at the edge of a shadow the drawing may differ by a hair.
          const blocked = (reach: number) => [0.02, -0.02].map((d) => firstHit([grown(d)], lens, way, reach) !== null)
          const [wide, narrow] = blocked(distance)
          fc.pre(Math.abs(off - 15) > 0.3 && wide === narrow)
          const inBox = Math.abs(px) < 0.52 && py > 2.98 && py < 4.02
          fc.pre(!inBox)
          expect(isLit(litFaces(light, 30, ground, [box]), place)).toBe(off < 15 && !wide)
        },
      ),
      { numRuns: 400 },
    )
  })
})

/** The box, a little larger or smaller. */
function grown(by: number): PlacedPrism {
  const outline = box.outline.map(({ x, y }) => ({ x: x + Math.sign(x) * by, y: y + Math.sign(y - 3.5) * by }))
  return { ...box, outline, top: box.top + by }
}
