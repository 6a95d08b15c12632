/**
 * Raw angles tied to the stage: the beam is followed to where it lands in the venue in play, and the
 * value becomes an aim at that place, or at a target nearby. From then on it follows as aims do.
 */
import { distance, dot, ORIGIN, subtract, type Vec3 } from '../geometry/vector'
import { beamAt } from '../kinematics/forward'
import type { Pose } from '../kinematics/head'
import { solvePosition } from '../palettes/solve'
import type { TouchUp } from '../show/entities'
import type { FixtureId, TargetId } from '../show/ids'
import { anglesIn, offsetIn } from '../show/perVenue'
import { rigOf, type RiggedFixture } from '../show/rig'
import { showRecordOf, type Show } from '../show/show'
import { aimPoint, pointOn, targetsOf, type PlacedTarget } from '../show/targets'
import type { AimValue, AnglesValue } from '../show/values'
import { landingOn, type Landing } from '../venue/landing'
import { stageOf } from '../venue/stage'
import { inVenue } from './difference'

/** What raw angles become. */
export interface Tie {
  readonly aim: AimValue
  /** What the light lands on. */
  readonly on: Landing['on']
  readonly point: Vec3
  /** How far the target lies from there, metres; null for a free place. */
  readonly metres: number | null
}

/** Why raw angles cannot be tied. */
export type Untied = 'does not hang here' | 'lands nowhere' | 'outside its stops'

/** Light on a set piece is tied to the nearest target of that piece, up to so far off: it then goes along. Metres. */
const ON_PIECE = 4
/** A tied head turns by no more than this, degrees. */
const SAME_POSE = 0.05

/** What a fixture's raw angles become: at the nearest target within so many metres, else at a free place. */
export function tieOf(show: Show, fixture: FixtureId, value: AnglesValue, within: number): Tie | Untied {
  const rigged = rigOf(show).get(fixture)
  if (!rigged || rigged.by) return 'does not hang here'
  const { venue } = showRecordOf(show)
  const pose = anglesIn(value, venue)
  const landing = landingBy(show, rigged, pose)
  if (!landing) return 'lands nowhere'
  const near = nearestTarget(show, landing, within)
  const aim = withElsewhere(show, fixture, value, {
    kind: 'aim',
    target: near?.target ?? null,
    at: near?.at ?? null,
    offset: subtract(landing.point, near?.place ?? ORIGIN),
    choice: { side: pose.tilt < 0 ? 'negative' : 'positive', pan: pose.pan },
  })
  const solved = solvePosition(rigged.mount, stageOf(show), aim, pose).pose
  if (Math.max(Math.abs(solved.pan - pose.pan), Math.abs(solved.tilt - pose.tilt)) > SAME_POSE)
    return 'outside its stops'
  return { aim, on: landing.on, point: landing.point, metres: near?.metres ?? null }
}

function landingBy(show: Show, { mount }: RiggedFixture, pose: Pose): Landing | null {
  return landingOn(stageOf(show).surfaces, beamAt(mount, pose))
}

/** Where angles are others in another venue, the place they light there. */
function withElsewhere(show: Show, fixture: FixtureId, { elsewhere = [] }: AnglesValue, aim: AimValue): AimValue {
  const { venue: inPlay } = showRecordOf(show)
  const others = elsewhere.flatMap(({ venue, ...pose }) => {
    const offset =
      venue === inPlay ? null : offsetThere(inVenue(show, venue), fixture, pose, { ...aim, offset: ORIGIN })
    return offset ? [{ venue, offset }] : []
  })
  return others.length > 0 ? { ...aim, elsewhere: others } : aim
}

/** How far off an aim's place a pose lights, in the venue a show plays; null where either is nowhere. */
function offsetThere(show: Show, fixture: FixtureId, pose: Pose, aim: AimValue): Vec3 | null {
  const rigged = rigOf(show).get(fixture)
  const landing = rigged && landingBy(show, rigged, pose)
  const place = aimPoint(targetsOf(show), aim)
  return landing && place ? subtract(landing.point, place) : null
}

/** A touch-up of raw angles as one of the aim they are tied to; null where its light lands nowhere there. */
export function tiedTouchUp(show: Show, touchUp: TouchUp, value: AnglesValue, aim: AimValue): TouchUp | null {
  const there = inVenue(show, touchUp.venue)
  const { pan, tilt } = anglesIn(value, touchUp.venue)
  const pose = { pan: pan + touchUp.pan, tilt: tilt + touchUp.tilt }
  const offset = offsetThere(there, touchUp.fixture, pose, { ...aim, offset: offsetIn(aim, touchUp.venue) })
  return offset && { ...touchUp, offset, pan: 0, tilt: 0 }
}

interface Near {
  readonly target: TargetId
  readonly at: number | null
  readonly place: Vec3
  readonly metres: number
}

/** The target light is tied to: the nearest within reach, else the nearest of the set piece it lands on. */
function nearestTarget(show: Show, { point, on }: Landing, within: number): Near | null {
  const all = [...targetsOf(show).values()].map((placed) => ({ placed, near: nearestOn(placed, point) }))
  const closest = (some: typeof all, reach: number) =>
    some
      .map(({ near }) => near)
      .filter(({ metres }) => metres <= reach)
      .sort((a, b) => a.metres - b.metres)[0] ?? null
  const ofPiece = all.filter(({ placed }) => on.kind === 'set' && placed.target.setPiece === on.piece)
  return closest(all, within) ?? closest(ofPiece, ON_PIECE)
}

/** The place of a target that is nearest to a point. */
function nearestOn(placed: PlacedTarget, point: Vec3): Near {
  const at = placeAlong(placed, point)
  const place = pointOn(placed, at)
  return { target: placed.id, at, place, metres: distance(place, point) }
}

/** Along a line or round a ring, 0 to 1; null for a point. */
function placeAlong({ target, position, end }: PlacedTarget, point: Vec3): number | null {
  const to = subtract(point, position)
  if (target.form.kind === 'ring') return (Math.atan2(to.y, to.x) / (2 * Math.PI) + 1) % 1
  if (target.form.kind !== 'line' || !end) return null
  const line = subtract(end, position)
  return Math.max(0, Math.min(1, dot(to, line) / Math.max(1e-12, dot(line, line))))
}
