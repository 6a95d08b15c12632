/** Frees a palette of the pass from whoever has taken it: they may be gone. */
import { z } from 'zod'
import { takenPalettes } from '../../refocus/pass'
import { Draft } from '../../show/draft'
import { paletteId } from '../../show/ids'
import { command, done } from '../command'
import { onPaletteInPass } from '../shared/inPass'

export const releasePalette = command({
  input: z.strictObject({ palette: paletteId }),
  undoable: false,
  run: (show, { palette }) =>
    onPaletteInPass(show, palette, (_, name) => {
      const draft = new Draft(show)
      const holder = takenPalettes(show).get(palette)
      if (holder !== undefined) draft.set('person', holder, 'checking', null).set('person', holder, 'only', null)
      return done(draft, `free ${name}`)
    }),
})
