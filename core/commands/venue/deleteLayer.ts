/** Takes a layer out; its set pieces stay, in no layer. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { layerId } from '../../show/ids'
import { command, done } from '../command'
import { gone } from '../shared/refusals'

export const deleteLayer = command({
  input: z.strictObject({ layer: layerId }),
  undoable: true,
  run(show, { layer }) {
    const known = show.all.layer.get(layer)
    if (!known) return gone('layer', 'layer')
    const draft = new Draft(show)
    for (const [id, piece] of show.all.setPiece) if (piece.layer === layer) draft.set('setPiece', id, 'layer', null)
    draft.remove('layer', layer)
    return done(draft, `take out the layer ${known.name}`)
  },
})
