/** Takes a venue out, with everything that is there only: places, substitutes, touch-ups, accepted sweeps. */
import { z } from 'zod'
import { removeWithDependents } from '../../show/cascade'
import { Draft } from '../../show/draft'
import { venueId } from '../../show/ids'
import { showRecordOf } from '../../show/show'
import { command, done, refuse } from '../command'
import { gone } from '../shared/refusals'

export const deleteVenue = command({
  input: z.strictObject({ venue: venueId }),
  undoable: true,
  run(show, { venue }) {
    const known = show.all.venue.get(venue)
    if (!known) return gone('venue', 'venue')
    if (showRecordOf(show).venue === venue) return refuse('venue in play', { name: known.name }, 'venue')
    return done(removeWithDependents(new Draft(show), 'venue', [venue]), `delete the venue ${known.name}`)
  },
})
