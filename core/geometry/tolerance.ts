/** Every tolerance of the core, with its unit and its reason. */

/** Metres. Closer than this to the pan axis, pan no longer changes where the beam goes. */
export const ON_PAN_AXIS = 1e-6

/** Metres. A target nearer to the lens than this has no direction worth the name. */
export const AT_THE_LENS = 1e-6

/** Degrees. Rounding in the solver must not push an angle that sits on a stop out of range. */
export const STOP_SLACK = 1e-9

/** Seconds or degrees. Two ways that differ by less than this are equally near. */
export const EQUALLY_NEAR = 1e-9

/** Metres. The most a beam called reachable may pass its target by. */
export const BEAM_MISS = 1e-4

/** Metres. Two solved places closer than this have not moved. */
export const SAME_PLACE = 1e-3

/** Degrees. Two angles closer than this are one; rounding in a tangent and back must not tell them apart. */
export const SAME_ANGLE = 1e-6
