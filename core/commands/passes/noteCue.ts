/** Notes what is to be put right in a cue at the venue in play. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { cueNote } from '../../show/entities'
import { cueId } from '../../show/ids'
import { showRecordOf } from '../../show/show'
import { command, done } from '../command'
import { gone } from '../shared/refusals'

export const noteCue = command({
  input: z.strictObject({ cue: cueId, text: cueNote.shape.text }),
  undoable: true,
  run(show, { cue, text }, { person, now, newId }) {
    const known = show.all.cue.get(cue)
    if (!known) return gone('cue', 'cue')
    const { venue } = showRecordOf(show)
    const note = { venue, cue, text, by: person, at: Math.round(now), isDone: false }
    return done(new Draft(show).put('cueNote', newId(), note), `note on cue ${known.number}`)
  },
})
