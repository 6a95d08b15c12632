/**
 * Which way round a head is turned in each cue of a list. An aim without a stored choice takes, cue
 * by cue, the pose nearest by motor time to the one it had in the cue before; the first one from
 * home. So it never depends on how one came to a cue, and no pose needs to be kept.
 */
import { LEADING } from '../attributes/catalogue'
import { HOME, type Pose } from '../kinematics/head'
import { resolveValue } from '../palettes/resolve'
import { isTurnedNearest, solvePose } from '../palettes/solve'
import { derived } from '../show/derived'
import { RIG_KINDS, rigOf, type RiggedFixture } from '../show/rig'
import type { ShowPart } from '../show/show'
import { TARGET_KINDS, targetsOf } from '../show/targets'
import { givenBy, type PlainValue } from '../show/values'
import { atRest } from './atRest'
import { timelineOf, indexAt, placeOfCue, type TimelinePoint } from './tracking'
import type { CueListId, FixtureId } from '../show/ids'

/** What the pose of a head in a cue is worked out from. */
export const WAY_KINDS = [
  'cueValue',
  'cue',
  'cueList',
  'paletteValue',
  'touchUp',
  ...TARGET_KINDS,
  ...RIG_KINDS,
] as const
export type WayKind = (typeof WAY_KINDS)[number]

/** The poses of a fixture down a list, where they were asked for, one for each place that sets it. */
const posesByCourse = derived(WAY_KINDS, (): Map<string, (Pose | undefined)[]> => new Map())

/** Solving a value from a pose, remembered: down a list the same few come again and again. */
class Solving {
  readonly #known = new Map<PlainValue | null, Map<string, Pose>>()

  constructor(
    private readonly show: ShowPart<WayKind>,
    private readonly rigged: RiggedFixture,
  ) {}

  plainOf({ stored }: TimelinePoint): PlainValue | null {
    const value = givenBy(stored) ?? atRest(this.show, this.rigged, LEADING.place)
    return value && resolveValue(this.show, this.rigged, LEADING.place, value).value
  }

  from(before: Pose, plain: PlainValue | null): Pose {
    if (!isTurnedNearest(plain)) return solvePose(this.rigged.mount, targetsOf(this.show), plain, HOME)
    const known = this.#known.get(plain) ?? new Map<string, Pose>()
    this.#known.set(plain, known)
    const key = `${before.pan} ${before.tilt}`
    const found = known.get(key) ?? solvePose(this.rigged.mount, targetsOf(this.show), plain, before)
    known.set(key, found)
    return found
  }
}

/** The pose at one of the places that set a fixture, worked out from the last before it that is known, or needs none before. */
function poseDown(
  show: ShowPart<WayKind>,
  rigged: RiggedFixture,
  list: CueListId,
  points: readonly TimelinePoint[],
  at: number,
): Pose {
  const key = `${list} ${rigged.id}`
  const known = posesByCourse(show).get(key) ?? []
  posesByCourse(show).set(key, known)
  const solving = new Solving(show, rigged)
  const ahead: (PlainValue | null)[] = []
  let i = at
  for (; i >= 0 && !known[i]; i--) {
    const point = points[i]
    const plain = point ? solving.plainOf(point) : null
    ahead.push(plain)
    if (!isTurnedNearest(plain)) break
  }
  let pose = known[i] ?? HOME
  for (let place = at - ahead.length + 1; place <= at; place++) {
    pose = solving.from(pose, ahead[at - place] ?? null)
    known[place] = pose
  }
  return pose
}

/** The pose a head has at a place in a list, from 0; home before anything is set. */
export function poseAt(show: ShowPart<WayKind>, rigged: RiggedFixture, list: CueListId, at: number): Pose {
  const points = timelineOf(show, list).get(`${rigged.id} position`)
  const index = points ? indexAt(points, at) : -1
  if (!points || index < 0) return HOME
  return poseDown(show, rigged, list, points, index)
}

/** The pose a head has in a cue; home for a cue or fixture that is not there. */
export function poseInCue(show: ShowPart<WayKind>, fixture: FixtureId, cue: string | null): Pose {
  const rigged = rigOf(show).get(fixture)
  const place = cue === null ? null : placeOfCue(show, cue)
  return rigged && place ? poseAt(show, rigged, place.list.id, place.at) : HOME
}
