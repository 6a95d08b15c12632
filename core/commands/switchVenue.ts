/** Plays the show in another of its venues. */
import { z } from 'zod'
import { Draft } from '../show/draft'
import { venueId } from '../show/ids'
import { command, done, refuse } from './command'

export const switchVenue = command({
  input: z.strictObject({ venue: venueId }),
  undoable: true,
  run(show, { venue }) {
    const known = show.all.venue.get(venue)
    if (!known) return refuse('unknown venue', 'This venue is no longer in the show.', 'venue')
    return done(new Draft(show).set('show', show.id, 'venue', venue), `play at ${known.name}`)
  },
})
