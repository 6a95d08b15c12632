/** Points on the screen as an SVG path. */
import type { DrawingPoint } from './drawingPoint'

export function pathOf(points: readonly DrawingPoint[], closed = true): string {
  const body = points.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('')
  return closed ? `${body}Z` : body
}
