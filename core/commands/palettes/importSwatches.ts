/** Brings in a list of swatches; one of the same name gives way to it. */
import { z } from 'zod'
import { counted } from '../../show/counted'
import { Draft } from '../../show/draft'
import { swatch } from '../../show/entities'
import { swatchId } from '../../show/ids'
import { swatchesIn } from '../../show/swatches'
import { command, done } from '../command'

export const importSwatches = command({
  input: z.strictObject({
    list: swatch.shape.list,
    swatches: z
      .array(swatch.pick({ name: true, x: true, y: true, level: true }))
      .min(1)
      .max(5000),
  }),
  undoable: true,
  run(show, { list, swatches }, { newId }) {
    const draft = new Draft(show)
    for (const { id } of swatchesIn(show).get(list) ?? []) draft.remove('swatch', id)
    for (const [i, one] of swatches.entries())
      draft.put('swatch', swatchId.parse(newId()), { list, order: i + 1, ...one })
    return done(draft, `${counted(swatches.length, 'swatch', 'swatches')} of ${list}`)
  },
})
