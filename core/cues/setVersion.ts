/** Tells whether what a list sets of a fixture is still what it was. */
import { LEADING } from '../attributes/catalogue'
import { isAlike, versionOf } from '../palettes/versions'
import type { CueListId } from '../show/ids'
import type { RiggedFixture } from '../show/rig'
import type { ShowPart } from '../show/show'
import { lightsOf, type LightKind } from './darkness'
import { timelineOf, type Timeline, type TimelinePoint } from './tracking'

interface Known {
  readonly timeline: Timeline
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
  const timeline = timelineOf(show, list)
  const palettes = show.all.paletteValue
  const latest = newest.find((one) => one.timeline === timeline && one.palettes === palettes)
  if (latest) return latest.version
  const set = pointsOf(show, timeline, rigged)
  const keep = (leansOn: readonly unknown[], version: object) => {
    const others = newest.filter((one) => one.version !== version)
    byList.set(list, [{ timeline, palettes, set, leansOn, version }, ...others].slice(0, 2))
    return version
  }
  const alike = newest.filter((one) => isAlike(one.set, set))
  const hit = alike.find((one) => one.palettes === palettes)
  if (hit) return keep(hit.leansOn, hit.version)
  const leansOn = set.flatMap((points) => points.map(({ stored }) => versionOf(show, stored.value)))
  const same = alike.find((one) => isAlike(one.leansOn, leansOn))
  const version = same?.version ?? {}
  return keep(leansOn, version)
}

const NOTHING: readonly TimelinePoint[] = []

function pointsOf(show: ShowPart<LightKind>, timeline: Timeline, rigged: RiggedFixture): (readonly TimelinePoint[])[] {
  const keys = rigged.type.has.map((attribute) => `${rigged.id} ${attribute}`)
  for (const id of lightsOf(show, rigged)) if (id !== rigged.id) keys.push(`${id} ${LEADING.light}`)
  return keys.map((key) => timeline.get(key) ?? NOTHING)
}
