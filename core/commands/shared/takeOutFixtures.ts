/** Takes fixtures out with everything that holds them: places, group places, values. */
import type { Draft } from '../../show/draft'
import type { FixtureId } from '../../show/ids'
import type { Show } from '../../show/show'

/** Writes the removal of fixtures and of all that leans on them into a draft. */
export function takeOutFixtures(show: Show, draft: Draft, fixtures: ReadonlySet<FixtureId>): void {
  for (const kind of [
    'fixturePlace',
    'groupMember',
    'recordedFixture',
    'workingSetMember',
    'highlighted',
    'cueValue',
    'handValue',
  ] as const)
    for (const [id, holder] of show.all[kind]) if (fixtures.has(holder.fixture)) draft.remove(kind, id)
  for (const [id, time] of show.all.cueTime)
    if (time.fixture !== null && fixtures.has(time.fixture)) draft.remove('cueTime', id)
  for (const [id, value] of show.all.paletteValue)
    if (value.fixture !== null && fixtures.has(value.fixture)) draft.remove('paletteValue', id)
  for (const id of fixtures) draft.remove('fixture', id)
}
