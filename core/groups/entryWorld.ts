/** What a typed selection can speak of in a show. */
import { groupsInOrder, rigGroupsOf } from './groups'
import type { FixtureId } from '../show/ids'
import { rigOf } from '../show/rig'
import type { Show } from '../show/show'
import type { EntryWorld, NamedSet } from '../selection/entry'

/** Fixtures for which `mayBeSelected` is false are not there at all. */
export function entryWorldOf(
  show: Show,
  selected: readonly FixtureId[],
  lit: ReadonlySet<FixtureId>,
  mayBeSelected: (fixture: FixtureId) => boolean,
): EntryWorld {
  const placed = [...rigOf(show).values()].filter(({ id }) => mayBeSelected(id))
  const groups = groupsInOrder(show).map(({ group, members }): NamedSet => ({ kind: 'group', ...group, members }))
  const made = rigGroupsOf(show).flatMap(({ by, name, members }): NamedSet[] =>
    by === 'type on hang' ? [] : [{ kind: by, name, number: null, members }],
  )
  const named = [...groups, ...made].map(({ members, kind, name, number }) => ({
    kind,
    name,
    number,
    members: members.filter((id) => rigOf(show).has(id) && mayBeSelected(id)),
  }))
  const barsLit = placed.filter(({ cells }) => cells.some((id) => lit.has(id))).map(({ id }) => id)
  return {
    numbered: placed.map(({ id, fixture: { number, cell } }) => ({ id, number, cell })),
    named,
    // A bar is lit where one of its cells is.
    lit: new Set([...lit, ...barsLit]),
    selected,
  }
}
