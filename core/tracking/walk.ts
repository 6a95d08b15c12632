/** The walk of the stand-in tracker: a figure of eight about a place, as a performer might go it. */
import { add, vec3, type Vec3 } from '../geometry/vector'

/** Metres to either side of the place, and seconds for one round. */
const HALF_WIDTH = 2
const HALF_DEPTH = 1
const ROUND = 12

/** Where the walker of a tracker is after so many seconds, in the stage frame; each tracker a third of a round further. */
export function placeOnWalk(about: Vec3, tracker: number, seconds: number): Vec3 {
  const turn = 2 * Math.PI * (seconds / ROUND + tracker / 3)
  return add(about, vec3(HALF_WIDTH * Math.sin(turn), HALF_DEPTH * Math.sin(2 * turn), 0))
}
