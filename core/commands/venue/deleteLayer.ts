/** Takes a layer out; its set pieces stay, in no layer. */
import { z } from 'zod'
import { removeWithDependents } from '../../show/cascade'
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
    return done(removeWithDependents(new Draft(show), 'layer', [layer]), `take out the layer ${known.name}`)
  },
})
