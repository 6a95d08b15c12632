/** Adds a venue: empty, or with everything placed as it is in another, and the rig files and underlays that were taken there. Touch-ups are of their room and stay there. */
import { placeId } from '../../show/compositeIds'
import { Draft } from '../../show/draft'
import { venue as venueSchema } from '../../show/entities'
import { venueId } from '../../show/ids'
import { showRecordOf } from '../../show/show'
import { command, done } from '../command'
import { gone, nameInUse } from '../shared/refusals'

export const addVenue = command({
  input: venueSchema.extend({
    /** The venue to place everything as in; null for nothing placed, left out for the one in play. */
    from: venueId.nullable().optional(),
  }),
  undoable: true,
  run(show, { from, ...input }, { newId }) {
    const venue = from === undefined ? showRecordOf(show).venue : from
    if (venue !== null && !show.all.venue.has(venue)) return gone('venue', 'from')
    const refusal = nameInUse(show, 'venue', input.name)
    if (refusal) return refusal
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
    for (const substitute of show.all.substitute.values())
      if (substitute.venue === venue)
        draft.put('substitute', placeId(id, substitute.fixture), { ...substitute, venue: id })
    for (const file of show.all.rigFile.values())
      if (file.venue === venue) draft.put('rigFile', newId(), { ...file, venue: id })
    for (const underlay of show.all.underlay.values())
      if (underlay.venue === venue) draft.put('underlay', newId(), { ...underlay, venue: id })
    return done(draft, `add venue ${input.name}`)
  },
})
