/** Snapping while something is dragged: to lines worth lining up with, else to a grid. */

export interface Snapped {
  readonly value: number
  /** The line it caught on; null where it fell on the grid. */
  readonly line: number | null
}

/**
 * The nearest of `lines` within `reach`, else the nearest multiple of `grid`. All in metres along
 * one axis of the stage.
 */
export function snap(value: number, lines: readonly number[], reach: number, grid: number): Snapped {
  const nearest = lines.reduce<number | null>(
    (best, line) => (best === null || Math.abs(line - value) < Math.abs(best - value) ? line : best),
    null,
  )
  if (nearest !== null && Math.abs(nearest - value) <= reach) return { value: nearest, line: nearest }
  return { value: Math.round(Math.round(value / grid) * grid * 1e4) / 1e4 + 0, line: null }
}
