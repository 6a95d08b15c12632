/** Puts a hang somewhere else in this venue: its trim, its place. Its fixtures go along. */
import { z } from 'zod'
import { subtract } from '../geometry/vector'
import { offsetInWords } from '../refocus/words'
import { Draft } from '../show/draft'
import { hangId } from '../show/ids'
import { placeId, showRecordOf } from '../show/show'
import { point } from '../show/values'
import { command, done, refuse } from './command'

export const moveHang = command({
  input: z.strictObject({ hang: hangId, origin: point }),
  undoable: true,
  run(show, { hang, origin }) {
    const id = placeId(showRecordOf(show).venue, hang)
    const place = show.all.hangPlace.get(id)
    const known = show.all.hang.get(hang)
    if (!place || !known) return refuse('unknown hang', 'This hang has no place in this venue.', 'hang')
    if (origin.z < 0)
      return refuse(
        'below floor',
        `${known.name} cannot hang ${(-origin.z).toFixed(2)} m below the stage floor.`,
        'origin',
      )
    const draft = new Draft(show).set('hangPlace', id, 'origin', origin)
    return done(draft.changes(), `move ${known.name} ${offsetInWords(subtract(origin, place.origin))}`)
  },
})
