/** What a recording would take from the hand. */
import type { HandValue } from '../show/entities'
import { familyOf, type Family } from '../show/families'
import type { FixtureId, PersonId } from '../show/ids'
import type { Show } from '../show/show'

export interface Taken {
  readonly values: readonly HandValue[]
  readonly families: readonly Family[]
  readonly heldBack: readonly Family[]
  readonly fixtures: readonly FixtureId[]
}

/** The hand's values whose family the person takes and `allowed` lets through. */
export function takenFromHand(show: Show, person: PersonId, allowed: readonly Family[]): Taken {
  const take = show.all.person.get(person)?.take ?? []
  const values: HandValue[] = []
  const families = new Set<Family>()
  const heldBack = new Set<Family>()
  for (const held of show.all.handValue.values()) {
    if (held.person !== person) continue
    const family = familyOf(held.attribute)
    if (take.includes(family) && allowed.includes(family)) {
      values.push(held)
      families.add(family)
    } else heldBack.add(family)
  }
  const fixtures = [...new Set(values.map((v) => v.fixture))]
  return { values, families: [...families], heldBack: [...heldBack], fixtures }
}
