/** When fixtures have no light by the lists. */
import { LEADING } from '../attributes/catalogue'
import { derived } from '../show/derived'
import type { CueListId, FixtureId } from '../show/ids'
import { RIG_KINDS, rigOf, type RiggedFixture } from '../show/rig'
import type { ShowPart } from '../show/show'
import { givenBy } from '../show/values'
import { levelOf } from './level'
import { listsInOrder, timelineOf, type TimelinePoint } from './tracking'

/** Below this a fixture counts as dark. */
export const DARK = 0.01

export const LIGHT_KINDS = ['cueValue', 'cue', 'cueList', 'paletteValue', 'touchUp', ...RIG_KINDS] as const
export type LightKind = (typeof LIGHT_KINDS)[number]

/** Whose intensity makes the light of a fixture: its own, that of its bar, or those of its cells. */
export function lightsOf(show: ShowPart<(typeof RIG_KINDS)[number]>, rigged: RiggedFixture): readonly FixtureId[] {
  const has = (one: RiggedFixture | null | undefined) => one?.type.has.includes(LEADING.light) ?? false
  if (has(rigged)) return [rigged.id]
  if (rigged.bar) return has(rigged.bar) ? [rigged.bar.id] : []
  return rigged.cells.filter((cell) => has(rigOf(show).get(cell)))
}

/** By what is set of an intensity, how bright that ever is: it stays the same arrays as long as it is the same. */
const brightestKnown = derived(
  ['paletteValue', 'touchUp', ...RIG_KINDS],
  () => new WeakMap<readonly TimelinePoint[], number>(),
)

function brightestOf(show: ShowPart<LightKind>, points: readonly TimelinePoint[]): number {
  return Math.max(...points.map(({ stored }) => levelOf(show, stored.fixture, givenBy(stored)) ?? 0))
}

/** How bright each list ever has a fixture, 0 to 1; fixtures it does not light are left out. */
const brightestByList = derived(LIGHT_KINDS, (show) => {
  const known = brightestKnown(show)
  const all = new Map<CueListId, Map<FixtureId, number>>()
  for (const { id } of listsInOrder(show)) {
    const brightest = new Map<FixtureId, number>()
    all.set(id, brightest)
    for (const points of timelineOf(show, id).values()) {
      if (points[0]?.stored.attribute !== LEADING.light) continue
      const level = known.get(points) ?? brightestOf(show, points)
      known.set(points, level)
      brightest.set(points[0].stored.fixture, level)
    }
  }
  return all
})

/** How bright any other list ever has a fixture, 0 to 1; null where none lights it. */
export function brightestElsewhere(show: ShowPart<LightKind>, list: CueListId, fixture: FixtureId): number | null {
  let most: number | null = null
  for (const [id, brightest] of brightestByList(show)) {
    const level = id === list ? undefined : brightest.get(fixture)
    if (level !== undefined) most = Math.max(most ?? 0, level)
  }
  return most
}

/** How bright a list that does not light a fixture may find it: as bright as another ever has it; null where it lights it itself, or none does. */
export function levelElsewhere(show: ShowPart<LightKind>, list: CueListId, fixture: FixtureId): number | null {
  if (timelineOf(show, list).has(`${fixture} ${LEADING.light}`)) return null
  return brightestElsewhere(show, list, fixture)
}
