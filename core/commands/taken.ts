/** What a recording would take from the hand. */
import type { HandValue } from '../show/entities'
import { familyOf, type Family } from '../show/families'
import type { FixtureId, PersonId, WorkingSetId } from '../show/ids'
import { workingSetMembersOf } from '../show/workingSets'
import type { Show } from '../show/show'

export interface Taken {
  readonly values: readonly HandValue[]
  readonly families: readonly Family[]
  readonly heldBack: readonly Family[]
  readonly fixtures: readonly FixtureId[]
}

/** The hand's values whose family the person takes and `allowed` lets through, of the fixtures of the working set that is on. */
export function takenFromHand(
  show: Show,
  person: PersonId,
  allowed: readonly Family[],
  workingSet: WorkingSetId | null = null,
): Taken {
  const within = workingSet === null ? null : workingSetMembersOf(show).get(workingSet)
  const take = show.all.person.get(person)?.take ?? []
  const values: HandValue[] = []
  const families = new Set<Family>()
  const heldBack = new Set<Family>()
  for (const held of show.all.handValue.values()) {
    if (held.person !== person || (workingSet !== null && !within?.has(held.fixture))) continue
    const family = familyOf(held.attribute)
    if (take.includes(family) && allowed.includes(family)) {
      values.push(held)
      families.add(family)
    } else heldBack.add(family)
  }
  const fixtures = [...new Set(values.map((v) => v.fixture))]
  return { values, families: [...families], heldBack: [...heldBack], fixtures }
}
