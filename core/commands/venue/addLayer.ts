/** Begins a layer that set pieces can stand in. */
import { Draft } from '../../show/draft'
import { layer as layerSchema } from '../../show/entities'
import { layerId } from '../../show/ids'
import { command, done } from '../command'
import { nameInUse } from '../shared/refusals'

export const addLayer = command({
  input: layerSchema.pick({ name: true }),
  undoable: true,
  run(show, { name }, { newId }) {
    const refusal = nameInUse(show, 'layer', name)
    if (refusal) return refusal
    const draft = new Draft(show).put('layer', layerId.parse(newId()), { name, visible: true, locked: false })
    return done(draft, `add the layer ${name}`)
  },
})
