/** Moves of a cue that the motors of its heads cannot make in their time, and what would help. */
import { lineBetween, positionOnWay } from '../cues/fade'
import type { StageFixture } from '../cues/onStage'
import type { Travel } from '../cues/travel'
import { add, distance, pointBetween, scale } from '../geometry/vector'
import { beamAt } from '../kinematics/forward'
import type { Pose } from '../kinematics/head'
import { allWays } from '../kinematics/inverse'
import { axisTime, moveTime } from '../kinematics/motorTime'
import type { SolvedPosition } from '../palettes/solve'
import type { FixtureId } from '../show/ids'
import type { Surfaces } from '../venue/surfaces'
import { isSeenToMove, type Step } from './course'
import { chased, type AxisMotion } from '../kinematics/lag'
import { demandOn, pathOf, type PathPoint } from './path'
import { isSurelySlow } from './slow'

/** What a move asks of an axis that it cannot do. */
export interface TooFast {
  readonly fixture: FixtureId
  readonly axis: 'pan' | 'tilt'
  /** °/s, °/s², or seconds for the whole move where neither is too much but there is no time to set out and stop. */
  readonly what: 'speed' | 'acceleration' | 'time'
  readonly needed: number
  readonly possible: number
  /** How far the light is behind at the worst instant, metres; null where it lands nowhere. */
  readonly lagMetres: number | null
  /** The shortest time in which the head could make the move so; null where no time within reason would do. */
  readonly shortestSeconds: number | null
  /** How long it needs by angle. */
  readonly byAngleSeconds: number
  /** Whether any of it is seen. */
  readonly isLit: boolean
}

/** Beyond what is possible by less than this part, nothing is said. */
const SLACK = 1e-6
const AXES = ['pan', 'tilt'] as const
/** Straight past its own pan axis a head would have to turn in no time, however long the move: beyond so many seconds it is of no use. */
const WITHIN_REASON = 60

interface HeadMove {
  readonly from: StageFixture
  readonly to: StageFixture
  readonly seconds: number
  readonly travel: Travel
  readonly isSeen: boolean
}

/** What of a step is too fast for the motors; null in the first cue of a list, to which all comes from anywhere. */
export function tooFast(step: Step, surfaces: Surfaces): TooFast | null {
  const { from, to, place, travel, at, isPlaced } = step
  if (at === 0 || !isPlaced) return null
  return judged({ from, to, seconds: place.seconds, travel, isSeen: isSeenToMove(step) }, surfaces)
}

/** A path, and whether it is the straight one. */
interface MovePath {
  readonly points: readonly PathPoint[]
  readonly travel: Travel
}

/**
 * The path of a move. By angle it is even, so that its ends say all; and so does one straight to where
 * the head cannot get, where it feels for the nearest pose all the way.
 */
function pathOfMove(move: HeadMove, surfaces: Surfaces): MovePath {
  const points = move.travel === 'straight' ? straightPath(move, surfaces) : null
  if (points) return { points, travel: 'straight' }
  const ends = [move.from, move.to].map(({ position: { pose } }, t) => ({ t, pan: pose.pan, tilt: pose.tilt }))
  return { points: ends, travel: 'angle' }
}

/** Null where the light cannot go straight, or the head does not get to all of the line. */
function straightPath({ from, to }: HeadMove, surfaces: Surfaces): readonly PathPoint[] | null {
  const line = lineBetween(from, to)
  if (!line) return null
  const { mount } = to.rigged
  let last: Pose | null = from.position.pose
  const poseAt = (t: number): Pose => {
    if (last && allWays(mount, pointBetween(...line, t), last).length === 0) last = null
    if (last) last = positionOnWay(from, to, t, surfaces, 'straight').solved.pose
    return last ?? from.position.pose
  }
  const points = pathOf(poseAt)
  return last ? points : null
}

function judged(move: HeadMove, surfaces: Surfaces): TooFast | null {
  const { from, to, seconds } = move
  const { head } = to.rigged.mount
  const needed = moveTime(head, from.position.pose, to.position.pose)
  if (needed === 0) return null
  const isLate = needed > seconds * (1 + SLACK)
  if (!isLate && isClearlySlow(move)) return null
  const path = pathOfMove(move, surfaces)
  const faults = seconds > 0 ? AXES.flatMap((axis) => faultsOf(move, axis, path.points)) : []
  const [worst] = faults.sort((a, b) => b.needed / b.possible - a.needed / a.possible)
  if (!worst && !isLate) return null
  const said = worst ?? { axis: slowerAxis(move), what: 'time' as const, needed, possible: seconds }
  return {
    axis: said.axis,
    what: said.what,
    needed: said.needed,
    possible: said.possible,
    fixture: to.rigged.id,
    lagMetres: lagOf({ ...move, travel: path.travel }, surfaces),
    shortestSeconds: withinReason(Math.max(needed, ...faults.map(({ shortest }) => shortest))),
    byAngleSeconds: needed,
    isLit: move.isSeen,
  }
}

/** Whether a straight move need not be followed to know that the motors can make it. */
function isClearlySlow({ from, to, seconds, travel }: HeadMove): boolean {
  const line = travel === 'straight' ? lineBetween(from, to) : null
  const poses = [from.position.pose, to.position.pose] as const
  return line !== null && isSurelySlow(to.rigged.mount, line, seconds, poses)
}

const withinReason = (seconds: number) => (seconds > WITHIN_REASON ? null : seconds)

/** What is too much for an axis, with the time in which it would not be: speeds fall with it, changes of speed with its square. */
function faultsOf({ to, seconds }: HeadMove, axis: 'pan' | 'tilt', path: readonly PathPoint[]) {
  const limits = to.rigged.mount.head[axis]
  const demand = demandOn(axis, path, seconds)
  return (['speed', 'acceleration'] as const).flatMap((what) => {
    const [needed, possible] = [demand[what], limits[what] ?? Infinity]
    if (needed <= possible * (1 + SLACK)) return []
    const times = what === 'speed' ? needed / possible : Math.sqrt(needed / possible)
    return [{ axis, what, needed, possible, shortest: seconds * times }]
  })
}

function slowerAxis({ from, to }: HeadMove): 'pan' | 'tilt' {
  const { head } = to.rigged.mount
  const time = (axis: 'pan' | 'tilt') => axisTime(head[axis], to.position.pose[axis] - from.position.pose[axis])
  return time('pan') > time('tilt') ? 'pan' : 'tilt'
}

/** Instants a move is followed at. */
const INSTANTS = 400

/** How far the light is behind where it should be at the worst instant, metres; null where it lands nowhere. */
function lagOf({ from, to, seconds, travel }: HeadMove, surfaces: Surfaces): number | null {
  const { mount } = to.rigged
  const behind = ({ point, throwMetres }: SolvedPosition, pose: Pose) => {
    if (!point || throwMetres === null) return null
    const { lens, direction } = beamAt(mount, pose)
    return distance(point, add(lens, scale(direction, throwMetres)))
  }
  if (seconds <= 0) return behind(to.position, from.position.pose)
  const dt = seconds / INSTANTS
  let most: number | null = null
  let pan: AxisMotion = { at: from.position.pose.pan, speed: 0 }
  let tilt: AxisMotion = { at: from.position.pose.tilt, speed: 0 }
  let last: Pose = from.position.pose
  for (let i = 1; i <= INSTANTS; i++) {
    const { solved } = positionOnWay(from, to, i / INSTANTS, surfaces, travel)
    const { pose } = solved
    pan = chased(pan, { at: pose.pan, speed: (pose.pan - last.pan) / dt }, mount.head.pan, dt)
    tilt = chased(tilt, { at: pose.tilt, speed: (pose.tilt - last.tilt) / dt }, mount.head.tilt, dt)
    last = pose
    const now = behind(solved, { pan: pan.at, tilt: tilt.at })
    if (now !== null) most = Math.max(most ?? 0, now)
  }
  return most
}
