/** How long a motor needs for a move. */
import type { Axis, Head, Pose } from './head'

/**
 * Seconds for a move of `delta` degrees on one axis: it speeds up, runs and slows down, or turns
 * round half way when the move is too short to reach full speed (`Δ/v + v/a`, else `2·√(Δ/a)`).
 * An axis without a speed counts one second a degree, so that distances compare as angles.
 */
export function axisTime(axis: Axis, delta: number): number {
  const size = delta < 0 ? -delta : delta
  const speed = axis.speed
  if (speed === undefined) return size
  const acceleration = axis.acceleration
  if (acceleration === undefined) return size / speed
  if (size > (speed * speed) / acceleration) return size / speed + speed / acceleration
  return 2 * Math.sqrt(size / acceleration)
}

/** Seconds a head needs between two poses: the slower axis decides. */
export function moveTime(head: Head, from: Pose, to: Pose): number {
  const pan = axisTime(head.pan, to.pan - from.pan)
  const tilt = axisTime(head.tilt, to.tilt - from.tilt)
  return pan > tilt ? pan : tilt
}
