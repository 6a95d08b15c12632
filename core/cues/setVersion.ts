/** Tells whether what a list sets of a fixture is still what it was. */
import { LEADING } from '../attributes/catalogue'
import { versionOf } from '../palettes/versions'
import { isAlike } from '../show/isAlike'
import type { CueListId } from '../show/ids'
import type { RiggedFixture } from '../show/rig'
import type { ShowPart } from '../show/show'
import { lightsOf, type LightKind } from './darkness'
import { fixtureSetOf, timelineOf } from './tracking'

interface Known {
  /** All that palettes hold, and touch up. */
  readonly palettes: readonly unknown[]
  /** What is set of the fixture, and of those that make its light. */
  readonly set: readonly unknown[]
  /** What those lean on. */
  readonly leansOn: readonly unknown[]
  readonly version: object
}
/** The newest by list, and the one before it: a preview beside the real show does not throw that away. */
const known = new WeakMap<RiggedFixture, Map<CueListId, readonly Known[]>>()

/**
 * The same object as long as everything a list sets of a fixture, and of what makes its light, is the
 * same, and gives the same; it does not tell of the cues themselves.
 */
export function setVersionOf(show: ShowPart<LightKind>, list: CueListId, rigged: RiggedFixture): object {
  const byList = known.get(rigged) ?? new Map<CueListId, readonly Known[]>()
  known.set(rigged, byList)
  const newest = byList.get(list) ?? []
  const palettes = [show.all.paletteValue, show.all.touchUp]
  const set = [rigged.id, ...lightsOf(show, rigged)].map((id) => fixtureSetOf(show, list, id))
  const alike = newest.filter((one) => isAlike(one.set, set))
  const hit = alike.find((one) => isAlike(one.palettes, palettes))
  if (hit) return hit.version
  const leansOn = leansOnIn(show, list, rigged)
  const version = alike.find((one) => isAlike(one.leansOn, leansOn))?.version ?? {}
  const others = newest.filter((one) => one.version !== version)
  byList.set(list, [{ palettes, set, leansOn, version }, ...others].slice(0, 2))
  return version
}

/** What the values lean on that a list sets of a fixture, and of the intensities that make its light. */
function leansOnIn(show: ShowPart<LightKind>, list: CueListId, rigged: RiggedFixture): readonly unknown[] {
  const keys = rigged.type.has.map((attribute) => `${rigged.id} ${attribute}`)
  for (const id of lightsOf(show, rigged)) if (id !== rigged.id) keys.push(`${id} ${LEADING.light}`)
  const timeline = timelineOf(show, list)
  return keys.flatMap((key) => timeline.get(key) ?? []).map(({ stored }) => versionOf(show, stored.value))
}
