/** Puts a new set piece on the stage of the venue in play. */
import { placeId } from '../../show/compositeIds'
import { setPiece as setPieceSchema, setPiecePlace } from '../../show/entities'
import { Draft } from '../../show/draft'
import { setPieceId } from '../../show/ids'
import { showRecordOf } from '../../show/show'
import { command, done } from '../command'
import { gone, lockedLayer, nameInUse } from '../shared/refusals'

export const addSetPiece = command({
  input: setPieceSchema.extend(setPiecePlace.pick({ position: true, yaw: true }).shape),
  undoable: true,
  run(show, { name, solids, layer, position, yaw }, { newId }) {
    const refusal = nameInUse(show, 'setPiece', name) ?? lockedLayer(show, layer, name)
    if (refusal) return refusal
    if (layer && !show.all.layer.has(layer)) return gone('layer', 'layer')
    const { venue } = showRecordOf(show)
    const id = setPieceId.parse(newId())
    const draft = new Draft(show)
    draft.put('setPiece', id, { name, solids, layer })
    draft.put('setPiecePlace', placeId(venue, id), { venue, setPiece: id, position, yaw })
    return done(draft, `add ${name}`)
  },
})
