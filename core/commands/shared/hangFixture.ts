/** Hangs a fixture in a venue. */
import { placeId } from '../../show/compositeIds'
import type { Draft } from '../../show/draft'
import type { EntityOf } from '../../show/kinds'

/** Puts a fixture in its place; a substitute that played its values there has no more to do. */
export function hangFixture(draft: Draft, place: EntityOf['fixturePlace']): void {
  const id = placeId(place.venue, place.fixture)
  draft.put('fixturePlace', id, place)
  if (draft.before.all.substitute.has(id)) draft.remove('substitute', id)
}
