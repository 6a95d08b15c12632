/** Says of a palette in the pass that it needs another look, cannot be done here, or is to do again. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { passStep } from '../../show/entities'
import { paletteId } from '../../show/ids'
import { command, done } from '../command'
import { onPaletteInPass, sayInPass } from '../shared/inPass'

const WORDS = { 'another look': 'needs another look', 'cannot be done': 'cannot be done here', 'to do': 'is to do' }

export const markInPass = command({
  input: z.strictObject({ palette: paletteId, mark: passStep.shape.mark }),
  undoable: true,
  run: (show, { palette, mark }) =>
    onPaletteInPass(show, palette, (pass, name) => {
      const draft = new Draft(show)
      // What was found right is not any more: each of its fixtures is to be looked at again.
      for (const [id, check] of show.all.passCheck)
        if (check.pass === pass && check.palette === palette) draft.remove('passCheck', id)
      sayInPass(draft, pass, palette, { mark })
      return done(draft, `${name} ${WORDS[mark ?? 'to do']}`)
    }),
})
