/** Gives a palette another number: swapped with the one that has it, or moving those in its way up. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { entryNumber } from '../../show/entities'
import { paletteId } from '../../show/ids'
import { command, done } from '../command'
import { makeRoom } from '../shared/paletteNumbers'
import { gone } from '../shared/refusals'

export const placePalette = command({
  input: z.strictObject({ palette: paletteId, number: entryNumber, how: z.enum(['swap', 'make room']) }),
  undoable: true,
  run(show, { palette, number, how }) {
    const known = show.all.palette.get(palette)
    if (!known) return gone('palette', 'palette')
    const draft = new Draft(show)
    const there = [...show.all.palette].find(([id, other]) => id !== palette && other.number === number)
    if (how === 'make room') makeRoom(show, draft, number, palette)
    else if (there) draft.set('palette', there[0], 'number', known.number)
    draft.set('palette', palette, 'number', number)
    const label =
      there && how === 'swap' ? `swap ${known.name} and ${there[1].name}` : `move ${known.name} to ${number}`
    return done(draft, label)
  },
})
