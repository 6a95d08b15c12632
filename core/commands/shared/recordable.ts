/** What recording a cue would take: from the hand, or of what the stage shows. */
import { recordedBack } from '../../cues/recordedBack'
import { handOf } from '../../cues/onStage'
import { familyOf } from '../../attributes/attribute'
import { FAMILIES, type Family } from '../../attributes/families'
import type { CueList } from '../../show/entities'
import type { FixtureId, PersonId, WorkingSetId } from '../../show/ids'
import { lets } from '../../show/masks'
import type { Show } from '../../show/show'
import { eachOf } from './takeValues'
import { takenFromHand } from './takenFromHand'
import { workingSetMembersOf } from '../../show/workingSets'
import type { FixtureValue } from '../../show/fixtureValue'

export const RECORD_FROM = ['hand', 'stage'] as const
export type RecordFrom = (typeof RECORD_FROM)[number]

export interface Recordable {
  readonly values: readonly FixtureValue[]
  readonly fixtures: readonly FixtureId[]
  readonly families: readonly Family[]
  readonly heldBack: readonly Family[]
}

/** What the take switches and the mask of a list let through. Links stay links. */
export function recordable(
  show: Show,
  person: PersonId,
  list: CueList,
  from: RecordFrom,
  workingSet: WorkingSetId | null = null,
): Recordable {
  if (from === 'hand') return takenFromHand(show, person, list, workingSet)
  const mask = show.all.person.get(person) ?? { take: [], heldBack: [] }
  const within = workingSet === null ? null : workingSetMembersOf(show).get(workingSet)
  const hand = handOf(show, person)
  const shown = [
    ...eachOf(recordedBack(show)).filter(({ fixture, attribute }) => !hand.get(fixture)?.has(attribute)),
    ...eachOf(hand),
  ]
  const all = shown.filter(({ fixture }) => workingSet === null || within?.has(fixture))
  const values = all.filter(({ attribute }) => lets(mask, attribute) && lets(list, attribute))
  const inFamilies = (of: typeof all) => FAMILIES.filter((f) => of.some(({ attribute }) => familyOf(attribute) === f))
  const families = inFamilies(values)
  return {
    values,
    fixtures: [...new Set(values.map(({ fixture }) => fixture))],
    families,
    heldBack: inFamilies(all.filter((value) => !values.includes(value))).filter((f) => !families.includes(f)),
  }
}
