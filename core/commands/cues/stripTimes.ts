/** Takes stored times out of palettes. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { paletteId } from '../../show/ids'
import { command, done, refuse } from '../command'

export const stripTimes = command({
  input: z.strictObject({ palettes: z.array(paletteId).min(1) }),
  undoable: true,
  run(show, { palettes }) {
    const timed = palettes.filter((id) => (show.all.palette.get(id)?.time ?? null) !== null)
    const [only] = timed
    if (!only) return refuse('no times', {}, 'palettes')
    const draft = new Draft(show)
    for (const id of timed) draft.set('palette', id, 'time', null)
    const what = timed.length === 1 ? (show.all.palette.get(only)?.name ?? '') : `${timed.length} palettes`
    return done(draft, `take the time out of ${what}`)
  },
})
