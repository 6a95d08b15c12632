/** Groups of a table: numbered as it says, or after those there are. */
import type { Draft } from '../../show/draft'
import { nextNumber } from '../../show/freeNumbers'
import { groupId } from '../../show/ids'
import { refuse, type Environment, type Outcome } from '../command'
import { groupNumberInUse, putGroupMembers } from '../shared/groupMembers'
import { fixturesCalled, type GroupRow } from '../shared/tableRows'

export function putGroupRows(draft: Draft, rows: readonly GroupRow[], newId: Environment['newId']): Outcome | null {
  if (rows.length === 0) return null
  const show = draft.result()
  const taken = [...show.all.group.values(), ...rows].flatMap(({ number }) => (number === null ? [] : [{ number }]))
  let next = nextNumber(taken)
  const numbers = new Set<number>()
  for (const { name, fixtures, number: wished } of rows) {
    const number = wished ?? next++
    if (numbers.size === numbers.add(number).size) return refuse('number twice', { number, where: 'among the groups' })
    const refusal = groupNumberInUse(show, number)
    if (refusal) return refusal
    const members = fixturesCalled(show, fixtures)
    if (!members.ok) return refuse('fixtures of a line', { line: name, why: members.message })
    const id = groupId.parse(newId())
    draft.put('group', id, { number, name, colour: 'brass', pattern: null })
    putGroupMembers(show, draft, id, members.fixtures)
  }
  return null
}
