/** How a motor follows what it is asked, within its speed and acceleration. */
import type { Axis } from './head'

/** Where an axis is, degrees, and how fast it turns, °/s. */
export interface AxisMotion {
  readonly at: number
  readonly speed: number
}

/**
 * An axis `dt` seconds on, after a place that moves: as fast as it may, but so that it can stop there
 * (`v² = 2·a·distance`). An axis without limits is there at once.
 */
export function chased({ at, speed }: AxisMotion, wanted: AxisMotion, axis: Axis, dt: number): AxisMotion {
  if (axis.speed === undefined) return wanted
  const off = wanted.at - at
  const reach = axis.acceleration ?? Infinity
  const braking = Number.isFinite(reach) ? Math.sqrt(2 * reach * Math.abs(off)) : Math.abs(off) / dt
  const asked = wanted.speed + Math.sign(off) * Math.min(braking, Math.abs(off) / dt)
  const within = Math.min(axis.speed, Math.max(-axis.speed, asked))
  const next = speed + Math.min(reach * dt, Math.max(-reach * dt, within - speed))
  return { at: at + next * dt, speed: next }
}
