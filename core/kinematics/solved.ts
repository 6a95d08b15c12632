/** What solving an aim is asked, and what it answers. Degrees and metres. */
import type { Pose } from './head'

/** Which way a head is turned: the sign its tilt has without lens offsets. */
export type Side = 'positive' | 'negative'

/**
 * How to choose among the ways: near a pose, on a side where one is asked for, and in the turn of pan
 * nearest to `turn` (degrees) where one was chosen before.
 */
export interface Choice {
  readonly reference: Pose
  readonly side?: Side | undefined
  readonly turn?: number | undefined
}

/** A head at a place. `throwMetres` runs from the lens to the target. */
export interface Reached extends Pose {
  readonly reachable: true
  readonly side: Side
  readonly throwMetres: number
}

/**
 * A head that cannot get there: the nearest pose inside its stops, by how many degrees the axis
 * that falls short would have to go on (for a target inside the head's own offset: by how many
 * degrees the beam points past it), and by how many metres the beam misses the target.
 */
export interface OutOfReach extends Pose {
  readonly reachable: false
  readonly side: Side
  readonly throwMetres: number
  readonly shortDegrees: number
  readonly missMetres: number
}

export type Solved = Reached | OutOfReach

/** One way to reach a target. */
export interface Way extends Pose {
  readonly side: Side
}
