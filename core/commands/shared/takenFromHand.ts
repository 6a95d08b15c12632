/** What a recording would take from the hand. */
import type { HandValue } from '../../show/entities'
import type { Draft } from '../../show/draft'
import { familyOf, type Attribute } from '../../attributes/attribute'
import { FIRST_TAKE, type Family } from '../../attributes/families'
import type { FixtureId, PersonId, WorkingSetId } from '../../show/ids'
import { lets, type Mask } from '../../show/masks'
import { workingSetMembersOf } from '../../show/workingSets'
import type { Show } from '../../show/show'

export interface Taken {
  readonly values: readonly HandValue[]
  readonly families: readonly Family[]
  readonly heldBack: readonly Family[]
  readonly fixtures: readonly FixtureId[]
}

const NOTHING: Mask = { take: [], heldBack: [] }

/** The hand's values that the person takes and `allowed` lets through, of the fixtures of the working set that is on. */
export function takenFromHand(
  show: Show,
  person: PersonId,
  allowed: Mask,
  workingSet: WorkingSetId | null = null,
): Taken {
  const within = workingSet === null ? null : workingSetMembersOf(show).get(workingSet)
  const takes = taking(show, person, allowed)
  const values: HandValue[] = []
  const families = new Set<Family>()
  const heldBack = new Set<Family>()
  for (const held of show.all.handValue.values()) {
    if (held.person !== person || (workingSet !== null && !within?.has(held.fixture))) continue
    const family = familyOf(held.attribute)
    if (takes(held.attribute)) {
      values.push(held)
      families.add(family)
    } else heldBack.add(family)
  }
  const fixtures = [...new Set(values.map((v) => v.fixture))]
  return { values, families: [...families], heldBack: [...heldBack], fixtures }
}

/** Whether a recording takes an attribute at all: the person takes it, and `allowed` lets it through. */
export function taking(show: Show, person: PersonId, allowed: Mask): (attribute: Attribute) => boolean {
  const mask = show.all.person.get(person) ?? NOTHING
  return (attribute) => lets(mask, attribute) && lets(allowed, attribute)
}

/** A mask has been used: one for once gives back the person's own, any other is their own from now on. */
export function spendMask(show: Show, draft: Draft, person: PersonId): void {
  const known = show.all.person.get(person)
  if (!known) return
  draft.set('person', person, 'usual', null)
  if (!known.takeOnce) return
  const { take, heldBack } = known.usual ?? { take: [...FIRST_TAKE], heldBack: [] }
  draft.set('person', person, 'take', take).set('person', person, 'heldBack', heldBack)
  draft.set('person', person, 'takeOnce', false)
}
