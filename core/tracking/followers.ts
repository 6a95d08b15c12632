/** Fixtures aimed at targets that follow trackers: turned after them from picture to picture. */
import { onBar, type StageFixture } from '../cues/onStage'
import type { Follow } from '../cues/stageAt'
import { add, subtract } from '../geometry/vector'
import { beamAt } from '../kinematics/forward'
import { solvePosition, solveZoom } from '../palettes/solve'
import type { FixtureId } from '../show/ids'
import type { Show } from '../show/show'
import { targetsOf, type PlacedTarget, type Targets } from '../show/targets'
import type { AimValue } from '../show/values'
import { stageOf } from '../venue/stage'
import type { TrackedPlaces } from './following'

/** The targets of the venue in play, those that follow where they are just now. */
export function trackedTargets(show: Show, places: TrackedPlaces): Targets {
  const all = targetsOf(show)
  const moved = new Map<string, PlacedTarget>()
  for (const [id, { place }] of places) {
    const placed = all.get(id)
    if (!placed) continue
    const end = placed.end && add(placed.end, subtract(place, placed.position))
    moved.set(id, { ...placed, position: place, end })
  }
  return { venue: all.venue, get: (id) => moved.get(id) ?? all.get(id) }
}

/** Whether a picture's light is aimed at a target that follows. */
export function isFollower({ positionValue }: StageFixture, places: TrackedPlaces): boolean {
  return positionValue?.kind === 'aim' && positionValue.target !== null && places.has(positionValue.target)
}

/** The way round a head has, and what its aim says of it: told otherwise, it goes by that. */
interface Turned {
  readonly of: AimValue['choice']
  readonly choice: AimValue['choice']
}
const isSameChoice = (a: AimValue['choice'], b: AimValue['choice']) => a?.side === b?.side && a?.pan === b?.pan

/**
 * How heads follow, one instant after the other: each goes on the way round and the turn it had, so that
 * none whirls about because the nearest way is another now.
 */
export class Followers {
  #turned = new Map<string, Turned>()

  /** How to turn pictures of a show at an instant; where nothing follows, they stay what they are. */
  at(show: Show, places: TrackedPlaces): Follow {
    const before = this.#turned
    const turned = new Map<string, Turned>()
    this.#turned = turned
    const stage = { targets: trackedTargets(show, places), surfaces: stageOf(show).surfaces }
    return (standing) => {
      const { rigged, positionValue, position, zoomValue } = standing
      if (positionValue?.kind !== 'aim' || !isFollower(standing, places)) return standing
      const key = `${rigged.id} ${positionValue.target}`
      const known = before.get(key)
      const own = { side: position.side, pan: position.pose.pan }
      const choice = known && isSameChoice(known.of, positionValue.choice) ? known.choice : own
      const found = solvePosition(rigged.mount, stage, { ...positionValue, choice }, position.pose)
      turned.set(key, { of: positionValue.choice, choice: { side: found.side, pan: found.pose.pan } })
      return {
        ...standing,
        position: found,
        beam: beamAt(rigged.mount, found.pose),
        zoom: solveZoom(rigged, zoomValue, found.throwMetres),
      }
    }
  }
}

/** A whole picture with everything that follows turned: heads by themselves, cells with their bars. */
export function followedPicture(
  show: Show,
  picture: ReadonlyMap<FixtureId, StageFixture>,
  follow: Follow,
): ReadonlyMap<FixtureId, StageFixture> {
  const followed = new Map(picture)
  for (const [id, one] of picture) {
    const bar = one.rigged.bar && picture.get(one.rigged.bar.id)
    const turned = bar ? follow(bar) : follow(one)
    if (turned !== (bar || one)) followed.set(id, bar ? onBar(show, one, turned) : turned)
  }
  return followed
}
