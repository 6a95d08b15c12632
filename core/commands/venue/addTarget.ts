/** Names a place: free on the stage of the venue in play, or tied to a set piece. */
import { placeId } from '../../show/compositeIds'
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { hang, targetForm } from '../../show/entities'
import { setPieceId, targetId } from '../../show/ids'
import { showRecordOf } from '../../show/show'
import { point } from '../../show/values'
import { command, done, refuse } from '../command'
import { nameInUse } from '../shared/refusals'

export const addTarget = command({
  input: z.strictObject({
    name: hang.shape.name,
    form: targetForm,
    setPiece: setPieceId.nullable(),
    /** In the set piece's frame where it is tied to one, else in the stage frame. */
    position: point,
  }),
  undoable: true,
  run(show, { name, form, setPiece, position }, { newId }) {
    const taken = nameInUse(show, 'target', name)
    if (taken) return taken
    const id = targetId.parse(newId())
    const draft = new Draft(show)
    if (setPiece !== null) {
      if (!show.all.setPiece.has(setPiece)) return refuse('gone', { kind: 'setPiece' }, 'setPiece')
      draft.put('target', id, { name, form, setPiece, local: position })
    } else {
      const { venue } = showRecordOf(show)
      draft.put('target', id, { name, form, setPiece: null, local: null })
      draft.put('targetPlace', placeId(venue, id), { venue, target: id, position })
    }
    return done(draft, `add target ${name}`)
  },
})
