/** Numbers part of the way from one to another. */
import type { Fade } from './catalogue'

/** A number part of the way. */
export const interpolate = (from: number, to: number, t: number) => (t >= 1 ? to : from + (to - from) * t)

/**
 * A number part of the way, as its attribute fades: `t` runs from 0 to 1, `min` and `max` are its range.
 * Angles that can turn all the way round, degrees, go the shorter way, through the end of their range
 * where that is shorter; half a turn goes up.
 */
export function numberBetween(
  from: number,
  to: number,
  t: number,
  fade: Fade,
  { min, max }: { readonly min: number; readonly max: number },
): number {
  if (t <= 0) return from
  if (t >= 1 || fade === 'snaps') return to
  if (fade === 'runs' || max - min < 360) return interpolate(from, to, t)
  const way = ((((to - from + 180) % 360) + 360) % 360) - 180
  const shorter = from + (way === -180 ? 180 : way) * t
  const turns = shorter < min ? 1 : shorter > max ? -1 : 0
  return shorter + turns * 360
}
