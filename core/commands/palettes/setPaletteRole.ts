/** Names the palette everything rests at, or the one that highlight shows; null for the plain way. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { paletteId } from '../../show/ids'
import { command, done } from '../command'
import { gone } from '../shared/refusals'

export const setPaletteRole = command({
  input: z.strictObject({ role: z.enum(['rest', 'highlight']), palette: paletteId.nullable() }),
  undoable: true,
  run(show, { role, palette }) {
    const known = palette === null ? null : show.all.palette.get(palette)
    if (known === undefined) return gone('palette', 'palette')
    const draft = new Draft(show).set('show', show.id, role, palette)
    const what = role === 'rest' ? 'the resting state' : 'what highlight shows'
    return done(draft, known ? `${known.name} is ${what}` : `${what} is plain`)
  },
})
