/**
 * Sets what venues have for themselves, number by number: any line of the venues' sheet in any venue.
 * Nothing instead of a number takes the thing off that venue; a number where it is absent puts it there
 * as it is in another.
 */
import { z } from 'zod'
import { ON_HANG } from '../../refocus/perVenueFields'
import { Draft } from '../../show/draft'
import { counted } from '../../show/counted'
import { listInWords } from '../../show/listInWords'
import type { Show } from '../../show/show'
import { command, done, type Outcome } from '../command'
import { gone } from '../shared/refusals'
import { hangIn, PlacesInVenues } from '../shared/placesInVenues'
import { venueCell, type VenueCell } from '../shared/venueCell'
import { StageInVenues } from '../shared/stageInVenues'

export const setInVenues = command({
  input: z.strictObject({ cells: z.array(venueCell).min(1).max(20_000) }),
  undoable: true,
  run(show, { cells }, { person, now }) {
    const draft = new Draft(show)
    const places = new PlacesInVenues(show, draft)
    const stages = new StageInVenues(show, draft, { by: person, at: now })
    for (const one of cells) {
      const refusal = set(show, places, stages, one)
      if (refusal) return refusal
    }
    places.write()
    stages.write()
    const venues = [...new Set(cells.map(({ venue }) => show.all.venue.get(venue)?.name ?? ''))]
    return done(draft, `set ${counted(cells.length, 'value')} at ${listInWords(venues)}`)
  },
})

function set(show: Show, places: PlacesInVenues, stages: StageInVenues, one: VenueCell): Outcome | null {
  if (!show.all.venue.has(one.venue)) return gone('venue', 'cells')
  if (one.kind === 'touchUp') return stages.setTouchUp(one)
  if (one.kind === 'opening' || one.kind === 'zone' || one.kind === 'level') return stages.set(one)
  if (one.kind === 'fixture' && one.what === ON_HANG) return hangIn(show, places, one)
  return places.set(one)
}
