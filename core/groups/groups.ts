/** Groups in order, and those that make themselves: by type, by hang, and by type on each hang. */
import { group } from 'd3-array'
import { derived } from '../show/derived'
import type { EntityOf } from '../show/kinds'
import { asGroupId, type FixtureId, type GroupId } from '../show/ids'
import { HANG_KINDS, hangsOf, membersOf, rigOf, withCells, type RiggedFixture } from '../show/rig'
import type { PatternGroups } from '../selection/patterns'

export interface OrderedGroup {
  readonly id: GroupId
  readonly group: EntityOf['group']
  readonly members: readonly FixtureId[]
}

/** Every recorded group by number, with its members in their order. */
export const groupsInOrder = derived(['group', 'groupMember'], (show): readonly OrderedGroup[] =>
  [...show.all.group]
    .map(([id, group]) => ({ id: asGroupId(id), group, members: membersOf(show).get(id) ?? [] }))
    .sort((a, b) => a.group.number - b.group.number),
)

/** Groups as patterns see them. */
export const patternGroupsOf = derived(
  ['group', 'groupMember'],
  (show): PatternGroups =>
    new Map(groupsInOrder(show).map(({ id, group, members }) => [id, { members, pattern: group.pattern }])),
)

/** A group nobody recorded. It is worked out from the rig, so it is never out of date. */
export interface RigGroup {
  readonly by: 'type' | 'hang' | 'type on hang'
  readonly name: string
  readonly members: readonly FixtureId[]
}

/** The groups the rig itself makes. A type that is alone on its hang is the hang's group already. */
export const rigGroupsOf = derived(HANG_KINDS, (show): readonly RigGroup[] => {
  const byType = typesOf(rigOf(show).values()).map((group) => ({ ...group, by: 'type' as const }))
  const hangs = hangsOf(show).filter(({ fixtures }) => fixtures.length > 0)
  const byHang = hangs.map(({ hang, fixtures }) => ({
    by: 'hang' as const,
    name: hang.name,
    members: fixtures.flatMap(({ id }) => withCells(show, id)),
  }))
  const byBoth = hangs.flatMap(({ hang, fixtures }) => {
    const types = typesOf(
      fixtures.flatMap(({ id }) => withCells(show, id).flatMap((one) => rigOf(show).get(one) ?? [])),
    )
    if (types.length < 2) return []
    return types.map(({ name, members }) => ({ by: 'type on hang' as const, name: `${name} on ${hang.name}`, members }))
  })
  return [...byType, ...byHang, ...byBoth]
})

function typesOf(fixtures: Iterable<RiggedFixture>): { name: string; members: FixtureId[] }[] {
  return [...group(fixtures, ({ type }) => type.name)].map(([name, ofType]) => ({
    name,
    members: ofType.map(({ id }) => id),
  }))
}
