/** How far light moves on the stage. */
import { SAME_PLACE } from '../geometry/tolerance'
import { distance } from '../geometry/vector'
import type { SolvedPosition } from '../palettes/solve'

type Lit = Pick<SolvedPosition, 'point'>

/** From where light lands to where it will, metres; null where it lands nowhere on either side. */
export function shiftBetween(before: Lit, after: Lit): number | null {
  return before.point && after.point ? distance(before.point, after.point) : null
}

/** Whether light lands in the same place on both sides, or on both nowhere. */
export function isSamePlace(before: Lit, after: Lit): boolean {
  const shift = shiftBetween(before, after)
  return shift === null ? before.point === after.point : shift < SAME_PLACE
}
