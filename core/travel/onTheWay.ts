/** A step as it goes on: what it looks like at an instant, where its pool goes, and how fast its head turns meanwhile. */
import type { Attribute } from '../attributes/attribute'
import { LEADING } from '../attributes/catalogue'
import { fadedTo, lineBetween, positionOnWay } from '../cues/fade'
import type { StageFixture } from '../cues/onStage'
import type { Timing } from '../cues/times'
import type { Travel } from '../cues/travel'
import type { Vec3 } from '../geometry/vector'
import type { Pose } from '../kinematics/head'
import { showRecordOf, type Show } from '../show/show'
import { surfacesOf, type Surfaces } from '../venue/surfaces'
import { progressAt, type Step } from './course'
import { pathOf } from './path'

/** When a step has everything where it goes, seconds from the start of its cue. */
export function endOfStep({ place, width, light }: Step): number {
  return Math.max(...[place, width, light].map(({ delay, seconds }) => delay + seconds))
}

/** A fixture in the middle of a step, seconds from the start of its cue; what is neither place, width nor light goes with the light. */
export function seenAt(show: Show, step: Step, instant: number): StageFixture {
  const { from, to, travel, place, width, light } = step
  const timings = new Map<Attribute, Timing>([
    [LEADING.place, place],
    [LEADING.width, width],
  ])
  const progress = (attribute: Attribute) => progressAt(timings.get(attribute) ?? light, instant)
  return fadedTo(from, to, progress, surfacesOf(show), travel, showRecordOf(show).colourFade)
}

/** Where the centre of a pool goes, in the stage frame. */
export interface PoolPath {
  readonly points: readonly Vec3[]
  /** Where it is after every whole second of the move. */
  readonly ticks: readonly Vec3[]
}

/** Points a path is drawn with. */
const DRAWN = 48

/** The way of a pool by one kind of travel or the other; null where the head does not turn, or its light lands nowhere. */
export function poolPath({ from, to, place }: Step, travel: Travel, surfaces: Surfaces): PoolPath | null {
  if (from.position === to.position) return null
  const pointAt = (t: number) => positionOnWay(from, to, t, surfaces, travel).solved.point
  const points = Array.from({ length: DRAWN + 1 }, (_, i) => pointAt(i / DRAWN)).flatMap((point) => point ?? [])
  const whole = Math.max(0, Math.ceil(place.seconds) - 1)
  const ticks = Array.from({ length: whole }, (_, i) => pointAt((i + 1) / place.seconds)).flatMap(
    (point) => point ?? [],
  )
  return points.length > 1 ? { points, ticks } : null
}

/** How fast an axis turns at an instant: seconds from the start of the cue, °/s. */
export interface SpeedThen {
  readonly seconds: number
  readonly speed: number
}

/** How fast both axes have to turn over a step, even where the motors cannot. Empty for a move in no time. */
export function speedsOf({ from, to, place, travel }: Step, surfaces: Surfaces): Record<'pan' | 'tilt', SpeedThen[]> {
  if (place.seconds <= 0) return { pan: [], tilt: [] }
  const isStraight = travel === 'straight' && lineBetween(from, to) !== null
  const poseAt = (t: number): Pose => positionOnWay(from, to, t, surfaces, travel).solved.pose
  const path = isStraight ? pathOf(poseAt) : [0, 1].map((t) => ({ t, ...poseAt(t) }))
  const speeds = (axis: 'pan' | 'tilt') =>
    path.flatMap((after, i): SpeedThen[] => {
      const before = path[i - 1]
      if (!before) return []
      const speed = Math.abs(after[axis] - before[axis]) / ((after.t - before.t) * place.seconds)
      const at = (t: number) => place.delay + t * place.seconds
      return isStraight
        ? [{ seconds: at((before.t + after.t) / 2), speed }]
        : [
            { seconds: at(before.t), speed },
            { seconds: at(after.t), speed },
          ]
    })
  return { pan: speeds('pan'), tilt: speeds('tilt') }
}
