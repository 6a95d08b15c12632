/** Which targets follow trackers, and how a tracking system's frame lies on the stage. */
import { turnLevel } from '../geometry/rotation'
import { add, subtract, vec3, type Vec3 } from '../geometry/vector'
import { LOOPBACK, type TrackedTarget, type Tracking } from '../show/entities'
import { asTargetId, type TargetId } from '../show/ids'
import { showRecordOf, type ShowPart } from '../show/show'

const USUAL_TRACKING: Omit<Tracking, 'venue'> = {
  isOn: false,
  from: LOOPBACK,
  origin: { x: 0, y: 0, z: 0 },
  turn: 0,
  depth: 'upstage',
}

/** How a target follows where nothing else is said. */
export const USUAL_FOLLOWING: Omit<TrackedTarget, 'target'> = {
  tracker: 1,
  above: 0,
  smoothing: 0.15,
  fastest: 6,
  within: 30,
  lostAfter: 1,
  whenLost: 'stays',
}

/** How trackers are listened to in the venue in play. */
export function trackingOf(show: ShowPart<'tracking' | 'show'>): Tracking {
  const { venue } = showRecordOf(show)
  return show.all.tracking.get(venue) ?? { ...USUAL_TRACKING, venue }
}

/** A target with how it follows. */
export interface Followed {
  readonly target: TargetId
  readonly how: TrackedTarget
}

/** The targets that follow trackers just now; none while trackers are not listened to. */
export function followedTargets(show: ShowPart<'tracking' | 'show' | 'trackedTarget'>): Followed[] {
  if (!trackingOf(show).isOn) return []
  return [...show.all.trackedTarget].map(([id, how]) => ({ target: asTargetId(id), how }))
}

type Frame = Pick<Tracking, 'origin' | 'turn' | 'depth'>
const depthSign = ({ depth }: Frame) => (depth === 'upstage' ? 1 : -1)

/** A place in the tracking system's frame (x right, y up, z depth) as a place on the stage; metres. */
export function ontoStage(frame: Frame, place: Vec3): Vec3 {
  return add(frame.origin, turnLevel(vec3(place.x, depthSign(frame) * place.z, place.y), frame.turn))
}

/** The other way round: a place on the stage in the tracking system's frame. */
export function intoTracking(frame: Frame, place: Vec3): Vec3 {
  const { x, y, z } = turnLevel(subtract(place, frame.origin), -frame.turn)
  return vec3(x, z, depthSign(frame) * y)
}
