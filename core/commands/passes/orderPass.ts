/** Puts the palettes of a pass into an order by hand. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { paletteId } from '../../show/ids'
import { command, done, refuse } from '../command'
import { inPass, sayInPass } from '../shared/inPass'

export const orderPass = command({
  input: z.strictObject({ palettes: z.array(paletteId).min(1).max(10_000) }),
  undoable: true,
  run: (show, { palettes }) =>
    inPass(show, ({ id }) => {
      if (palettes.some((palette) => !show.all.palette.has(palette)))
        return refuse('one gone', { kind: 'palette' }, 'palettes')
      const draft = new Draft(show).set('pass', id, 'order', 'by hand')
      for (const [rank, palette] of [...new Set(palettes)].entries()) sayInPass(draft, id, palette, { rank })
      return done(draft, 'order the pass by hand', 'order the pass')
    }),
})
