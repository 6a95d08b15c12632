/** What the mathematics needs to know of a moving head. Degrees, metres, seconds. */
import { add, type Vec3 } from '../geometry/vector'
import { rotate, type Rotation } from '../geometry/rotation'
import type { Frame } from '../geometry/frame'

/** One axis: its stops in degrees and, where known, its speed (°/s) and acceleration (°/s²). */
export interface Axis {
  readonly min: number
  readonly max: number
  readonly speed?: number | undefined
  readonly acceleration?: number | undefined
}

/**
 * A head: `pivotDrop` is the distance from the mounting point to where the axes cross; `lens` is
 * where the lens sits off that crossing: `across` along the tilt axis, `normal` across the beam,
 * `forward` along it. Metres.
 */
export interface Head {
  readonly pan: Axis
  readonly tilt: Axis
  readonly pivotDrop: number
  readonly lens: { readonly across: number; readonly normal: number; readonly forward: number }
}

/** Pan and tilt in degrees. */
export interface Pose {
  readonly pan: number
  readonly tilt: number
}

export const HOME: Pose = { pan: 0, tilt: 0 }

/** A head where it hangs: the crossing of its axes in the stage frame, and its orientation. */
export interface Mount {
  readonly head: Head
  readonly pivot: Vec3
  readonly rotation: Rotation
}

/** `pivot = p + R · (0, 0, −pivotDrop)`. */
export function mountHead(head: Head, frame: Frame): Mount {
  const pivot = add(frame.origin, rotate(frame.rotation, { x: 0, y: 0, z: -head.pivotDrop }))
  return { head, pivot, rotation: frame.rotation }
}
