/** Puts a target somewhere else in this venue; a tied one moves on its set piece. */
import { placeId } from '../../show/compositeIds'
import { z } from 'zod'
import { turnLevel } from '../../geometry/rotation'
import { subtract } from '../../geometry/vector'
import { offsetInWords } from '../../geometry/lengthInWords'
import { Draft } from '../../show/draft'
import { targetId } from '../../show/ids'
import { showRecordOf } from '../../show/show'
import { targetsOf } from '../../show/targets'
import { point } from '../../show/values'
import { command, done, refuse } from '../command'

export const moveTarget = command({
  input: z.strictObject({ target: targetId, position: point }),
  undoable: true,
  run(show, { target, position }) {
    const placed = targetsOf(show).get(target)
    if (!placed) return refuse('no place here', { kind: 'target' }, 'target')
    const { name, setPiece } = placed.target
    const { venue } = showRecordOf(show)
    const draft = new Draft(show)
    if (setPiece === null) draft.set('targetPlace', placeId(venue, target), 'position', position)
    else {
      const piece = show.all.setPiecePlace.get(placeId(venue, setPiece))
      if (!piece) return refuse('tied to what is elsewhere', {}, 'target')
      draft.set('target', target, 'local', turnLevel(subtract(position, piece.position), -piece.yaw))
    }
    const by = offsetInWords(subtract(position, placed.position))
    return done(draft, `move ${name} ${by}`)
  },
})
