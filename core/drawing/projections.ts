/** The ways a stage is drawn flat. */
import { vec3, type Vec3 } from '../geometry/vector'

/** A point on the stage; without a height it lies on the floor. */
export interface StagePoint {
  readonly x: number
  readonly y: number
  readonly z?: number
}

export interface Projection {
  /** Metres to the right and upwards on the drawing. */
  readonly project: (point: StagePoint) => { readonly across: number; readonly up: number }
  /** The place drawn there; the coordinate that is not shown is 0. */
  readonly place: (across: number, up: number) => Vec3
  /** Where what is drawn stands in a view that is taller than it. */
  readonly stands: 'in the middle' | 'below'
}

/** From above, as the audience sees it: stage left to the right, upstage up. */
export const PLAN: Projection = {
  project: ({ x, y }) => ({ across: x, up: y }),
  place: (across, up) => vec3(across, up, 0),
  stands: 'in the middle',
}

/** From stage left: the house to the left, upstage to the right. */
export const SIDE: Projection = {
  project: ({ y, z = 0 }) => ({ across: y, up: z }),
  place: (across, up) => vec3(0, across, up),
  stands: 'below',
}

/** From the house: stage left to the right. */
export const FRONT: Projection = {
  project: ({ x, z = 0 }) => ({ across: x, up: z }),
  place: (across, up) => vec3(across, 0, up),
  stands: 'below',
}
