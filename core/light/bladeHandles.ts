/** Blades set in a picture of the gate: where they are taken hold of, and what a place they are drawn to makes of them. */
import type { BladeSide } from '../attributes/catalogue'
import { DEGREE } from '../geometry/rotation'
import { bladeMiddle, OUTWARD, type Blade } from './gate'
import { turnPoint, type GatePoint } from './gatePoint'

export interface BladeHandles {
  /** The middle of its edge: drawn in and out. */
  readonly middle: GatePoint
  /** Places on its edge to both sides, by which it is leant. */
  readonly ends: readonly [GatePoint, GatePoint]
}

/** How far from the middle of an edge its ends are taken hold of, the rim being 1. */
const REACH = 0.62

/** Where a blade is taken hold of; `frameTurn` degrees. */
export function bladeHandles({ side, depth, angle }: Blade, frameTurn: number): BladeHandles {
  const middle = bladeMiddle(side, depth)
  const along = turnPoint(sidewaysOf(side), angle)
  const end = (way: number) =>
    turnPoint([middle[0] + along[0] * REACH * way, middle[1] + along[1] * REACH * way], frameTurn)
  return { middle: turnPoint(middle, frameTurn), ends: [end(-1), end(1)] }
}

/** The depth, 0 to 1, at which the middle of a blade's edge is nearest to a place. */
export function depthAt(side: BladeSide, place: GatePoint, frameTurn: number): number {
  const [x, y] = turnPoint(place, -frameTurn)
  const [ox, oy] = OUTWARD[side]
  return Math.min(1, Math.max(0, (1 - (x * ox + y * oy)) / 2))
}

/** The angle, degrees, at which the edge of a blade runs through a place, taken hold of at one of its ends. */
export function angleAt(blade: Blade, end: 0 | 1, place: GatePoint, frameTurn: number): number {
  const [x, y] = turnPoint(place, -frameTurn)
  const middle = bladeMiddle(blade.side, blade.depth)
  const way = end === 0 ? -1 : 1
  const [dx, dy] = [(x - middle[0]) * way, (y - middle[1]) * way]
  const [sx, sy] = sidewaysOf(blade.side)
  return Math.atan2(dx * sy - dy * sx, dx * sx + dy * sy) / DEGREE
}

/** A blade by how far its two corners are in, 0 to 1, clockwise looking with the light: they are at the rim to both sides. */
export function bladeOfCorners(side: BladeSide, first: number, second: number): Blade {
  return { side, depth: (first + second) / 2, angle: Math.atan(second - first) / DEGREE }
}

/** How far a corner is in, 0 to 1, when the edge runs through a place and the other corner stays where it is. */
export function cornerAt(side: BladeSide, end: 0 | 1, other: number, place: GatePoint, frameTurn: number): number {
  const [x, y] = turnPoint(place, -frameTurn)
  const [ox, oy] = OUTWARD[side]
  const [sx, sy] = sidewaysOf(side)
  // From the other corner, at the rim, across to this one.
  const along = Math.max(NEAREST, 1 + (x * sx + y * sy) * (end === 0 ? -1 : 1))
  const from = 1 - 2 * other
  const out = from + (2 * (x * ox + y * oy - from)) / along
  return Math.min(1, Math.max(0, (1 - out) / 2))
}
/** A corner is drawn by no place nearer to the other than this. */
const NEAREST = 0.2

/** The turn of the frame, degrees, that brings what stands upright at the top to a place. */
export function frameTurnAt([x, y]: GatePoint): number {
  return Math.atan2(x, y) / DEGREE
}

/** The way a blade's edge runs while it does not lean: clockwise from outward. */
const sidewaysOf = (side: BladeSide) => turnPoint(OUTWARD[side], 90)
