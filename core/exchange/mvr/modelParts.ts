/** Models by the corners of their parts: how far they reach, and the upright prism around them. */
import { polygonArea, polygonHull } from 'd3-polygon'
import { vec3, type Vec3 } from '../../geometry/vector'
import type { ReadPrism } from './rigReading'

export interface Bounds {
  readonly min: Vec3
  readonly max: Vec3
}

export function boundsOfPoints(points: readonly Vec3[]): Bounds {
  const low = { x: Infinity, y: Infinity, z: Infinity }
  const high = { x: -Infinity, y: -Infinity, z: -Infinity }
  for (const point of points)
    for (const axis of ['x', 'y', 'z'] as const) {
      low[axis] = Math.min(low[axis], point[axis])
      high[axis] = Math.max(high[axis], point[axis])
    }
  return { min: vec3(low.x, low.y, low.z), max: vec3(high.x, high.y, high.z) }
}

/** A tenth of a millimetre: models are written in single precision. */
const FINEST = 10_000
/** What has no thickness is made as thin as this, metres. */
const THINNEST = 0.002
/** No outline needs more corners; square metres below which there is none. */
const MOST_CORNERS = 200
const NO_AREA = 1e-6

const fine = (metres: number) => Math.round(metres * FINEST) / FINEST + 0

/** The upright prism around some points: their outline seen from above, between their lowest and their highest. */
export function prismAround(points: readonly Vec3[]): ReadPrism {
  const { min, max } = boundsOfPoints(points)
  const bottom = fine(min.z)
  const top = Math.max(bottom + THINNEST, fine(max.z))
  const hull = polygonHull(points.map(({ x, y }): [number, number] => [fine(x), fine(y)]))
  const outline =
    hull && Math.abs(polygonArea(hull)) > NO_AREA && hull.length <= MOST_CORNERS ? hull : boxOf({ min, max })
  return { outline: fromFirst(outline.map(([x, y]) => ({ x, y }))), bottom, top }
}

function boxOf({ min, max }: Bounds): [number, number][] {
  const thick = (low: number, high: number) => Math.max(fine(high), fine(low) + THINNEST)
  const [right, back] = [thick(min.x, max.x), thick(min.y, max.y)]
  const [left, front] = [fine(min.x), fine(min.y)]
  return [
    [left, front],
    [right, front],
    [right, back],
    [left, back],
  ]
}

type Corner = ReadPrism['outline'][number]

/** Against the clock from its corner furthest to the left and front, so that the same outline is always the same. */
function fromFirst(outline: readonly Corner[]): Corner[] {
  const area = polygonArea(outline.map(({ x, y }): [number, number] => [x, y]))
  const turned = area > 0 ? [...outline].reverse() : [...outline]
  const first = turned.reduce((best, { x, y }, i) => {
    const least = turned[best]
    return least && (x < least.x || (x === least.x && y < least.y)) ? i : best
  }, 0)
  return [...turned.slice(first), ...turned.slice(0, first)]
}
