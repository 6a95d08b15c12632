/** Adds a venue that starts as a copy of the one in play: same hangs, set and targets. */
import { placeId } from '../../show/compositeIds'
import { Draft } from '../../show/draft'
import { venue as venueSchema } from '../../show/entities'
import { venueId } from '../../show/ids'
import { showRecordOf } from '../../show/show'
import { command, done, refuse } from '../command'

export const addVenue = command({
  input: venueSchema,
  undoable: true,
  run(show, input, { newId }) {
    const { venue } = showRecordOf(show)
    for (const known of show.all.venue.values())
      if (known.name === input.name) return refuse('name taken', { kind: 'venue', name: input.name }, 'name')
    const id = venueId.parse(newId())
    const draft = new Draft(show).put('venue', id, input)
    for (const place of show.all.hangPlace.values())
      if (place.venue === venue) draft.put('hangPlace', placeId(id, place.hang), { ...place, venue: id })
    for (const place of show.all.fixturePlace.values())
      if (place.venue === venue) draft.put('fixturePlace', placeId(id, place.fixture), { ...place, venue: id })
    for (const place of show.all.setPiecePlace.values())
      if (place.venue === venue) draft.put('setPiecePlace', placeId(id, place.setPiece), { ...place, venue: id })
    for (const place of show.all.targetPlace.values())
      if (place.venue === venue) draft.put('targetPlace', placeId(id, place.target), { ...place, venue: id })
    return done(draft, `add venue ${input.name}`)
  },
})
