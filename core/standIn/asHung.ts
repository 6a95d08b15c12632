/** A show as its rig really hangs: what its drawing says, and what is off of it. */
import { fixtureOff, hangOff } from '../geometry/rigErrors'
import { placeId } from '../show/compositeIds'
import { Draft } from '../show/draft'
import { rigOf } from '../show/rig'
import { showRecordOf, type Show } from '../show/show'
import type { HiddenErrors } from './hiddenErrors'

/** The show with its rig in the venue in play hung as it really is, and patched as it really listens. */
export function asHung(show: Show, errors: HiddenErrors): Show {
  const { venue } = showRecordOf(show)
  const draft = new Draft(show)
  for (const [hang, error] of errors.hangs) {
    const place = show.all.hangPlace.get(placeId(venue, hang))
    if (place) draft.put('hangPlace', placeId(venue, hang), { ...place, ...hangOff(place, error) })
  }
  for (const [id, error] of errors.heads) {
    const rigged = rigOf(show).get(id)
    if (!rigged) continue
    const { place } = rigged
    const hung = fixtureOff(place, error)
    const round = id === errors.turnedRound ? 180 : 0
    draft.put('fixturePlace', placeId(venue, place.fixture), { ...place, ...hung, yaw: hung.yaw + round })
  }
  const { misaddressed } = errors
  const [wrong, as] = [misaddressed?.fixture, misaddressed?.as].map((id) => show.all.fixture.get(id ?? ''))
  if (misaddressed && wrong && as)
    draft.put('fixture', misaddressed.fixture, { ...wrong, universe: as.universe, address: as.address })
  return draft.result()
}
