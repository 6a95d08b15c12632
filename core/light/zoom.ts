/** Zoom and the size of the pool it makes. Degrees are full angles, metres diameters. */
import { DEGREE } from '../geometry/rotation'
import { SAME_ANGLE } from '../geometry/tolerance'

/** Diameter in metres across the beam at `throwMetres`: `2·L·tan(θ/2)`. */
export function poolDiameter(throwMetres: number, angle: number): number {
  return 2 * throwMetres * Math.tan((angle / 2) * DEGREE)
}

/** A zoom angle inside a range, and the diameter it really gives when the range cuts it short. */
export interface ZoomForPool {
  readonly angle: number
  readonly diameter: number
  readonly fits: boolean
}

/**
 * The zoom (degrees, inside [min, max]) that makes a pool of `diameter` metres at `throwMetres`;
 * `fits` is false where the range cannot give it, and `diameter` is then what it does give.
 */
export function zoomForPool(
  diameter: number,
  throwMetres: number,
  range: { readonly min: number; readonly max: number },
): ZoomForPool {
  const wanted = (2 * Math.atan2(diameter / 2, throwMetres)) / DEGREE
  const angle = Math.min(range.max, Math.max(range.min, wanted))
  if (Math.abs(angle - wanted) < SAME_ANGLE) return { angle, diameter, fits: true }
  return { angle, diameter: poolDiameter(throwMetres, angle), fits: false }
}
