/** The members of a group as they are written, and numbers that are free. */
import { memberId } from '../../show/compositeIds'
import type { Draft } from '../../show/draft'
import type { FixtureId, GroupId } from '../../show/ids'
import type { Show } from '../../show/show'
import { refuse, type Outcome } from '../command'

/** Writes who is in a group and in which order, instead of who was. */
export function putGroupMembers(show: Show, draft: Draft, group: GroupId, fixtures: readonly FixtureId[]): void {
  const members = new Set(fixtures)
  for (const [id, member] of show.all.groupMember)
    if (member.group === group && !members.has(member.fixture)) draft.remove('groupMember', id)
  for (const [i, fixture] of [...members].entries())
    draft.put('groupMember', memberId(group, fixture), { group, fixture, order: i + 1 })
}

/** Refuses a number that another group has. */
export function groupNumberInUse(show: Show, number: number, except?: GroupId): Outcome | null {
  for (const [id, existing] of show.all.group)
    if (id !== except && existing.number === number)
      return refuse('number taken', { kind: 'group', number, by: existing.name }, 'number')
  return null
}
