/** The rig is found to hang otherwise than it was thought: heads that were touched up stay turned as they are. */
import { length } from '../../geometry/vector'
import { askedPose, mechanicalPose } from '../../kinematics/axesOff'
import { removeTouchUp } from '../../palettes/touchUps'
import { sightingsIn } from '../../refocus/sightings'
import { missOf } from '../../refocus/trueUp'
import { EXPLAINED } from '../../refocus/trueUpOffers'
import { touchUpId } from '../../show/compositeIds'
import { counted } from '../../show/counted'
import type { Draft } from '../../show/draft'
import { rigOf } from '../../show/rig'
import { showRecordOf, type Show } from '../../show/show'
import type { Environment } from '../command'
import { touchHere } from './touchUpsIn'

/**
 * Makes touch-ups of what hangs otherwise in `draft` what is left to correct, and takes those away whose
 * light is on its place now. Tells in words how many those are.
 */
export function keepTurned(show: Show, draft: Draft, environment: Environment): string {
  const { venue } = showRecordOf(show)
  const after = rigOf(draft.result())
  let gone = 0
  for (const { palette, rigged, pose, place, isTouchedUp } of sightingsIn(show)) {
    const known = show.all.touchUp.get(touchUpId(venue, palette, rigged.id))
    const now = after.get(rigged.id)
    if (!isTouchedUp || !known || !now || (now.mount === rigged.mount && now.axes === rigged.axes)) continue
    const turned = mechanicalPose(now.type, now.axes, askedPose(rigged.type, rigged.axes, pose))
    const offset = missOf({ rigged: now, pose: turned, place })
    if (length(offset) < EXPLAINED) {
      removeTouchUp(draft, known)
      gone += 1
    } else touchHere(show, draft, environment, { palette, fixture: rigged.id, touch: { offset, pan: 0, tilt: 0 } })
  }
  return gone === 0 ? '' : `; ${counted(gone, 'touch-up goes', 'touch-ups go')}`
}
