/** Tells whether what a list sets of a fixture is still what it was. */
import { LEADING } from '../attributes/catalogue'
import { isAlike, versionOf } from '../palettes/versions'
import type { CueListId } from '../show/ids'
import type { RiggedFixture } from '../show/rig'
import type { ShowPart } from '../show/show'
import { lightsOf, type LightKind } from './darkness'
import { timelineOf, type Timeline } from './tracking'

interface Known {
  readonly timeline: Timeline
  readonly palettes: unknown
  /** What is set, what that leans on, and from which cues. */
  readonly points: readonly unknown[]
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
  const timeline = timelineOf(show, list)
  const palettes = show.all.paletteValue
  const hit = newest.find((one) => one.timeline === timeline && one.palettes === palettes)
  if (hit) return hit.version
  const points = pointsIn(show, timeline, rigged)
  const same = newest.find((one) => isAlike(one.points, points))
  const version = same?.version ?? {}
  byList.set(list, [{ timeline, palettes, points, version }, ...newest.filter((one) => one !== same)].slice(0, 2))
  return version
}

function pointsIn(show: ShowPart<LightKind>, timeline: Timeline, rigged: RiggedFixture): readonly unknown[] {
  const keys = rigged.type.has.map((attribute) => `${rigged.id} ${attribute}`)
  for (const id of lightsOf(show, rigged)) if (id !== rigged.id) keys.push(`${id} ${LEADING.light}`)
  const points: unknown[] = []
  for (const key of keys)
    for (const { stored } of timeline.get(key) ?? []) points.push(stored, versionOf(show, stored.value))
  return points
}
