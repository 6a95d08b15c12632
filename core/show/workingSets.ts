/** Working sets: the fixtures one may touch at present. */
import { derived } from './derived'
import { asWorkingSetId, type FixtureId, type WorkingSetId } from './ids'

/** The fixtures of each working set. */
export const workingSetMembersOf = derived(
  ['workingSet', 'workingSetMember'],
  (show): ReadonlyMap<WorkingSetId, ReadonlySet<FixtureId>> => {
    const sets = new Map<WorkingSetId, Set<FixtureId>>()
    for (const id of show.all.workingSet.keys()) sets.set(asWorkingSetId(id), new Set())
    for (const { workingSet, fixture } of show.all.workingSetMember.values()) sets.get(workingSet)?.add(fixture)
    return sets
  },
)
