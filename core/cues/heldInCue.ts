/** What one fixture has in one cue: where each value comes from, and how far it goes down the list. */
import type { CueValue } from '../show/entities'
import type { Attribute } from '../attributes/attribute'
import { attributesKnown } from '../show/attributesKnown'
import type { CueId, FixtureId } from '../show/ids'
import type { Show } from '../show/show'
import { timelineOf, indexAt, placeOfCue } from './tracking'

export interface HeldInCue {
  readonly attribute: Attribute
  readonly stored: CueValue
  /** The cue that set it; null where that is the cue itself. */
  readonly from: CueId | null
  /** The last cue of the list that still has it. */
  readonly last: CueId
}

/** Everything a fixture has in a cue, by attribute; nothing where the cue is not in the show. */
export function heldInCue(show: Show, cue: CueId, fixture: FixtureId): HeldInCue[] {
  const place = placeOfCue(show, cue)
  if (!place) return []
  const { cues, id: list } = place.list
  const course = timelineOf(show, list)
  return attributesKnown(show).flatMap((attribute) => {
    const points = course.get(`${fixture} ${attribute}`) ?? []
    const index = indexAt(points, place.at)
    const stored = points[index]?.stored
    if (!stored) return []
    const next = points[index + 1]?.at ?? cues.length
    return [{ attribute, stored, from: stored.cue === cue ? null : stored.cue, last: cues[next - 1]?.id ?? cue }]
  })
}
