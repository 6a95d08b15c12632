/** Takes a list of swatches out. What was coloured by it keeps its colour. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { swatch } from '../../show/entities'
import { swatchesIn } from '../../show/swatches'
import { command, done, refuse } from '../command'

export const removeSwatches = command({
  input: z.strictObject({ list: swatch.shape.list }),
  undoable: true,
  run(show, { list }) {
    const there = swatchesIn(show).get(list)
    if (!there) return refuse('no such list', { list }, 'list')
    const draft = new Draft(show)
    for (const { id } of there) draft.remove('swatch', id)
    return done(draft, `take the swatches of ${list} out`)
  },
})
