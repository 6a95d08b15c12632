/**
 * Points of the gate of a head, looked at with the light, the head upright: x to the right, y up, the
 * rim of the beam at 1. Angles are degrees, right-handed about the way the light goes, which is
 * clockwise so looked at.
 */
import { DEGREE } from '../geometry/rotation'

export type GatePoint = readonly [x: number, y: number]
export type GateRing = readonly GatePoint[]

/** A point of the gate turned about the axis. */
export function turnPoint([x, y]: GatePoint, angle: number): GatePoint {
  const [c, s] = [Math.cos(angle * DEGREE), Math.sin(angle * DEGREE)]
  return [x * c + y * s, y * c - x * s]
}
