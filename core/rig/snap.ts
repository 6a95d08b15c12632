/** Snapping while something is dragged: to lines worth lining up with, else to a grid. */
import { fineMetres } from '../geometry/fineMetres'
import type { Vec3 } from '../geometry/vector'

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
  return { value: fineMetres(Math.round(value / grid) * grid), line: null }
}

/** Lines worth lining up with on each axis of the stage, metres. */
export interface SnapLines {
  readonly x: readonly number[]
  readonly y: readonly number[]
  readonly z: readonly number[]
}

/** A snapped point, and the line it caught on for each axis, null where it caught none. */
export interface SnappedPoint {
  readonly point: Vec3
  readonly lines: { readonly x: number | null; readonly y: number | null; readonly z: number | null }
}

/** Snaps the axes along which a thing was moved; the others stay as they were. */
export function snapPoint(from: Vec3, by: Vec3, lines: SnapLines, reach: number, grid: number): SnappedPoint {
  const on = (axis: 'x' | 'y' | 'z'): Snapped =>
    by[axis] === 0 ? { value: from[axis], line: null } : snap(from[axis] + by[axis], lines[axis], reach, grid)
  const x = on('x')
  const y = on('y')
  const z = on('z')
  return {
    point: { x: x.value, y: y.value, z: z.value },
    lines: { x: x.line, y: y.line, z: z.line },
  }
}
