/** Tells whether what a list sets of a fixture is still what it was. */
import { LEADING } from '../attributes/catalogue'
import { isAlike, versionOf } from '../palettes/versions'
import type { CueListId } from '../show/ids'
import type { RiggedFixture } from '../show/rig'
import type { ShowPart } from '../show/show'
import { lightsOf, type LightKind } from './darkness'
import { timelineOf, type TimelinePoint } from './tracking'

interface Known {
  readonly palettes: unknown
  /** What is set of each attribute: the same arrays as long as that is the same. */
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
  const set = pointsOf(show, list, rigged)
  const palettes = show.all.paletteValue
  const alike = newest.filter((one) => isAlike(one.set, set))
  const hit = alike.find((one) => one.palettes === palettes)
  if (hit) return hit.version
  const leansOn = set.flatMap((points) => points.map(({ stored }) => versionOf(show, stored.value)))
  const same = alike.find((one) => isAlike(one.leansOn, leansOn))
  const version = same?.version ?? {}
  byList.set(list, [{ palettes, set, leansOn, version }, ...newest.filter((one) => one !== same)].slice(0, 2))
  return version
}

const NOTHING: readonly TimelinePoint[] = []

function pointsOf(show: ShowPart<LightKind>, list: CueListId, rigged: RiggedFixture): (readonly TimelinePoint[])[] {
  const timeline = timelineOf(show, list)
  const keys = rigged.type.has.map((attribute) => `${rigged.id} ${attribute}`)
  for (const id of lightsOf(show, rigged)) if (id !== rigged.id) keys.push(`${id} ${LEADING.light}`)
  return keys.map((key) => timeline.get(key) ?? NOTHING)
}
