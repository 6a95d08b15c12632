/** The path of a head during a move, as poses close enough together that no peak of speed is missed. */
import type { Pose } from '../kinematics/head'

/** A pose part of the way, 0 to 1, even in time. */
export interface PathPoint extends Pose {
  readonly t: number
}

/** Pieces a path is looked at in at first, how far an axis may turn in one, degrees, and how often one is halved. */
const PIECES = 64
const FINEST_TURN = 0.5
const MOST_HALVED = 12

/** Points of a path from its beginning to its end; `poseAt` is asked for places from 0 to 1. */
export function pathOf(poseAt: (t: number) => Pose): PathPoint[] {
  const at = (t: number): PathPoint => ({ t, pan: poseAt(t).pan, tilt: poseAt(t).tilt })
  const points = [at(0)]
  const fill = (from: PathPoint, to: PathPoint, halved: number) => {
    const turn = Math.max(Math.abs(to.pan - from.pan), Math.abs(to.tilt - from.tilt))
    if (turn <= FINEST_TURN || halved === MOST_HALVED) return points.push(to)
    const middle = at((from.t + to.t) / 2)
    fill(from, middle, halved + 1)
    fill(middle, to, halved + 1)
    return points.length
  }
  for (let i = 1; i <= PIECES; i++) fill(points.at(-1) ?? at(0), at(i / PIECES), 0)
  return points
}

/** What a path asks of one axis: the highest speed, °/s, and the hardest change of it on the way, °/s². */
export interface AxisDemand {
  readonly speed: number
  readonly acceleration: number
}

/** What a path that takes some seconds asks of an axis. Setting out and stopping are not counted: motion is even. */
export function demandOn(axis: 'pan' | 'tilt', path: readonly PathPoint[], seconds: number): AxisDemand {
  let [speed, acceleration] = [0, 0]
  let before: { readonly speed: number; readonly middle: number } | null = null
  for (const [i, to] of path.entries()) {
    const from = path[i - 1]
    if (!from) continue
    const now: number = (to[axis] - from[axis]) / ((to.t - from.t) * seconds)
    const middle = ((from.t + to.t) / 2) * seconds
    speed = Math.max(speed, Math.abs(now))
    if (before) acceleration = Math.max(acceleration, Math.abs(now - before.speed) / (middle - before.middle))
    before = { speed: now, middle }
  }
  return { speed, acceleration }
}
