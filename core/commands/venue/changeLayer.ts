/** Renames a layer, shows or hides it, locks or unlocks it. */
import { Draft } from '../../show/draft'
import { layer as layerSchema } from '../../show/entities'
import { layerId } from '../../show/ids'
import { command, done } from '../command'
import { gone, nameInUse } from '../shared/refusals'

export const changeLayer = command({
  input: layerSchema.partial().extend({ layer: layerId }),
  undoable: true,
  run(show, { layer, name, visible, locked }) {
    const known = show.all.layer.get(layer)
    if (!known) return gone('layer', 'layer')
    const refusal = name === undefined ? null : nameInUse(show, 'layer', name, layer)
    if (refusal) return refusal
    const draft = new Draft(show)
    if (name !== undefined) draft.set('layer', layer, 'name', name)
    if (visible !== undefined) draft.set('layer', layer, 'visible', visible)
    if (locked !== undefined) draft.set('layer', layer, 'locked', locked)
    const verb =
      name !== undefined
        ? `rename the layer ${known.name} to ${name}`
        : `${visible === undefined ? (locked ? 'lock' : 'unlock') : visible ? 'show' : 'hide'} the layer ${known.name}`
    return done(draft, verb)
  },
})
