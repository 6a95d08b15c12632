/** Puts a note to a palette in the pass. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { passStep } from '../../show/entities'
import { paletteId } from '../../show/ids'
import { command, done } from '../command'
import { onPaletteInPass, sayInPass } from '../shared/inPass'

export const noteInPass = command({
  input: z.strictObject({ palette: paletteId, note: passStep.shape.note }),
  undoable: true,
  run: (show, { palette, note }) =>
    onPaletteInPass(show, palette, (pass, name) => {
      const draft = new Draft(show)
      sayInPass(draft, pass, palette, { note })
      return done(draft, `note on ${name} in the pass`)
    }),
})
