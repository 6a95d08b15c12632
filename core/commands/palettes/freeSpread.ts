/** Lets go of the rule by which a palette spreads a group. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { paletteId } from '../../show/ids'
import { command, done } from '../command'
import { gone } from '../shared/refusals'

export const freeSpread = command({
  input: z.strictObject({ palette: paletteId }),
  undoable: true,
  run(show, { palette }) {
    const known = show.all.palette.get(palette)
    if (!known) return gone('palette', 'palette')
    const draft = new Draft(show).remove('paletteSpread', palette)
    return done(draft, `keep the places in ${known.name} without their rule`)
  },
})
