/** Moves that are to go straight and cannot: why, and when the line would be left. */
import { lineBetween } from '../cues/fade'
import { pointBetween } from '../geometry/vector'
import { moveTime } from '../kinematics/motorTime'
import { solveAim } from '../kinematics/inverse'
import type { Step } from './course'

/** Why a move that is to go straight goes by angle, and from when the line could not be kept, seconds from the start of the cue. */
export interface Bent {
  readonly why: 'ends the other way round' | 'lands nowhere'
  readonly seconds: number
}

/** Places on the line that are tried. */
const TRIED = 100

/**
 * Null for a move that goes as it is to. A head that ends the other way round would have to turn over
 * where its light lies: it can keep the line as it set out until it gets no further that way, or to
 * the end.
 */
export function bentIn({ from, to, place, travel }: Step): Bent | null {
  const { head } = to.rigged.mount
  if (travel !== 'straight' || moveTime(head, from.position.pose, to.position.pose) === 0) return null
  if (lineBetween(from, to)) return null
  const { side, point: begin } = from.position
  const end = to.position.point
  if (side === to.position.side || !begin || !end) return { why: 'lands nowhere', seconds: place.delay }
  let reference = from.position.pose
  for (let i = 0; i <= TRIED; i++) {
    const solved = solveAim(to.rigged.mount, pointBetween(begin, end, i / TRIED), { reference, side })
    if (!solved.reachable || solved.side !== side)
      return { why: 'ends the other way round', seconds: place.delay + (place.seconds * i) / TRIED }
    reference = solved
  }
  return { why: 'ends the other way round', seconds: place.delay + place.seconds }
}
