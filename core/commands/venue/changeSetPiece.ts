/** Changes what a set piece is: its name, its solids, its layer. Where it stands is moveSetPiece's. */
import { Draft } from '../../show/draft'
import { setPiece as setPieceSchema } from '../../show/entities'
import { setPieceId } from '../../show/ids'
import { command, done } from '../command'
import { gone, lockedLayer, nameInUse } from '../shared/refusals'

export const changeSetPiece = command({
  input: setPieceSchema.partial().extend({ setPiece: setPieceId }),
  undoable: true,
  run(show, { setPiece, name, solids, layer }) {
    const known = show.all.setPiece.get(setPiece)
    if (!known) return gone('setPiece', 'setPiece')
    const refusal =
      lockedLayer(show, known.layer, known.name) ??
      (name === undefined ? null : nameInUse(show, 'setPiece', name, setPiece))
    if (refusal) return refusal
    if (layer && !show.all.layer.has(layer)) return gone('layer', 'layer')
    const draft = new Draft(show)
    if (name !== undefined) draft.set('setPiece', setPiece, 'name', name)
    if (solids !== undefined) draft.set('setPiece', setPiece, 'solids', solids)
    if (layer !== undefined) draft.set('setPiece', setPiece, 'layer', layer)
    return done(draft, `change ${name ?? known.name}`)
  },
})
