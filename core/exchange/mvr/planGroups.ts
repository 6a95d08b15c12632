/** Layers and classes of a rig file as groups of fixtures: they say what belongs together. */
import type { TakenRig } from '../../commands/rig/takeRig'
import { counted } from '../../show/counted'
import type { FixtureId } from '../../show/ids'
import { normalisedName } from '../../show/names'
import { membersOf } from '../../show/rig'
import type { Show } from '../../show/show'
import type { PlannedFixture } from './planFixtures'
import { keyOf, type RigItem } from './rigItem'
import type { ReadFixture } from './rigReading'
import { FIXTURE_LAYER } from './sceneLayers'

export interface PlannedGroups {
  readonly items: readonly RigItem[]
  /** Only fixtures that are there, or come along, are members. */
  readonly taking: (isTaken: (key: string) => boolean, isThere: (fixture: FixtureId) => boolean) => TakenRig['groups']
}

/** Fixtures of one layer or class, in the order of the file. */
interface Bundle {
  readonly name: string
  readonly of: Set<'layer' | 'class'>
  readonly fixtures: FixtureId[]
}

export function planGroups(
  show: Show,
  read: readonly ReadFixture[],
  planned: readonly PlannedFixture[],
): PlannedGroups {
  const bundles = bundlesOf(read, new Map(planned.map((one) => [one.read, one.id])))
  const groups = bundles.flatMap((bundle) => groupPlanned(show, bundle))
  return {
    items: groups.map(({ item }) => item),
    taking: (isTaken, isThere) =>
      groups.flatMap(({ item, bundle: { name, fixtures } }) => {
        const members = fixtures.filter(isThere)
        return isTaken(item.key) && members.length > 0 ? [{ name, fixtures: members }] : []
      }),
  }
}

function bundlesOf(read: readonly ReadFixture[], ids: ReadonlyMap<string, FixtureId>): Bundle[] {
  const bundles = new Map<string, Bundle>()
  for (const { id, layer, classing } of read)
    for (const [of, name] of [
      ['layer', layer],
      ['class', classing],
    ] as const) {
      const fixture = ids.get(id)
      if (name === '' || name === FIXTURE_LAYER || fixture === undefined) continue
      const bundle = bundles.get(normalisedName(name)) ?? { name, of: new Set(), fixtures: [] }
      bundles.set(normalisedName(name), bundle)
      bundle.of.add(of)
      if (!bundle.fixtures.includes(fixture)) bundle.fixtures.push(fixture)
    }
  // What all are in tells nothing apart.
  return [...bundles.values()].filter(({ fixtures }) => fixtures.length < ids.size)
}

/** Nothing where the group has all of them; never suggested, since what layers mean is known to their maker alone. */
function groupPlanned(show: Show, bundle: Bundle): { item: RigItem; bundle: Bundle }[] {
  const { name, of, fixtures } = bundle
  const known = [...show.all.group].find(([, group]) => normalisedName(group.name) === normalisedName(name))?.[0]
  const has = new Set(membersOf(show).get(known ?? ''))
  const more = fixtures.filter((fixture) => !has.has(fixture)).length
  if (more === 0) return []
  const item: RigItem = {
    key: keyOf('group', normalisedName(name)),
    kind: 'group',
    name,
    what: known === undefined ? 'new' : 'members',
    before: known === undefined ? '' : counted(has.size, 'fixture'),
    after: `${known === undefined ? '' : 'and '}${counted(more, 'fixture')} of the ${[...of].join(' and the ')}`,
    suggested: false,
  }
  return [{ item, bundle }]
}
