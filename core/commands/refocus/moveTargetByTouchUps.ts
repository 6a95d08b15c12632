/** Moves the target that lights were touched up at instead: for good, in every venue, and all palettes at it follow. */
import { z } from 'zod'
import { offsetInWords } from '../../geometry/lengthInWords'
import { turnLevel } from '../../geometry/rotation'
import { add } from '../../geometry/vector'
import { putTouchUp, removeTouchUp } from '../../palettes/touchUps'
import { targetCorrectionBy } from '../../refocus/targetCorrection'
import { placeId } from '../../show/compositeIds'
import { Draft } from '../../show/draft'
import { showRecordOf } from '../../show/show'
import { command, done, refuse } from '../command'
import { isNothing, touchUps, touchUpsNamed } from '../shared/touchUpsIn'

export const moveTargetByTouchUps = command({
  input: z.strictObject({ touchUps }),
  undoable: true,
  run(show, { touchUps: named }) {
    const correction = targetCorrectionBy(show, touchUpsNamed(show, named))
    const target = correction && show.all.target.get(correction.target)
    if (!correction || !target) return refuse('not at one target', {}, 'touchUps')
    const draft = new Draft(show)
    const { by, left } = correction
    if (target.setPiece !== null && target.local !== null) {
      const { venue } = showRecordOf(show)
      const yaw = show.all.setPiecePlace.get(placeId(venue, target.setPiece))?.yaw ?? 0
      draft.set('target', correction.target, 'local', add(target.local, turnLevel(by, -yaw)))
    } else
      for (const [id, place] of show.all.targetPlace)
        if (place.target === correction.target) draft.set('targetPlace', id, 'position', add(place.position, by))
    for (const one of left)
      if (isNothing(one)) removeTouchUp(draft, one)
      else putTouchUp(draft, one)
    return done(draft, `move ${target.name} ${offsetInWords(by)} in every venue, as its lights were touched up`)
  },
})
