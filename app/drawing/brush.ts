/** Strokes shared by the drawings of light. */
import type { ScreenPoint } from '../composables/stage/usePlanView'

/** What the drawings need of a canvas. */
export type Brush = Pick<
  CanvasRenderingContext2D,
  | 'arc'
  | 'beginPath'
  | 'bezierCurveTo'
  | 'clip'
  | 'closePath'
  | 'fill'
  | 'fillRect'
  | 'fillStyle'
  | 'fillText'
  | 'font'
  | 'globalAlpha'
  | 'lineTo'
  | 'lineWidth'
  | 'moveTo'
  | 'restore'
  | 'save'
  | 'setLineDash'
  | 'stroke'
  | 'strokeStyle'
  | 'textBaseline'
> & { measureText(words: string): Pick<TextMetrics, 'width'> }

/** How the light of fixtures is looked at: lit on stage, chosen to work on, or only previewed. */
export type LightLook = 'lit' | 'chosen' | 'ghost'

interface Stroke {
  readonly ink: string
  /** 0 to 1. */
  readonly opacity: number
  readonly width?: number
  readonly dash?: readonly number[]
}

/** Strokes everything that `trace` adds to the path at once: crossing lines do not add up. */
export function strokeAll(brush: Brush, { ink, opacity, width = 1, dash = [] }: Stroke, trace: () => void) {
  brush.beginPath()
  trace()
  brush.strokeStyle = ink
  brush.globalAlpha = opacity
  brush.lineWidth = width
  brush.setLineDash([...dash])
  brush.stroke()
}

export function traceLine(brush: Brush, from: ScreenPoint, to: ScreenPoint) {
  brush.moveTo(from.x, from.y)
  brush.lineTo(to.x, to.y)
}

export interface Ellipse extends ScreenPoint {
  readonly long: number
  readonly short: number
  /** Radians, clockwise on the screen. */
  readonly turn: number
}

/** The arm of a Bézier curve that touches a quarter of a unit circle at its ends and its middle: 4(√2 − 1)/3. */
const ARM = (4 * (Math.SQRT2 - 1)) / 3

/**
 * An ellipse of four Bézier curves, nowhere further off it than 0.03 % of its long half axis. A
 * browser takes a quarter of the time it takes for its own ellipses.
 */
export function traceEllipse(brush: Brush, { x, y, long, short, turn }: Ellipse) {
  const [ux, uy] = [long * Math.cos(turn), long * Math.sin(turn)]
  const [vx, vy] = [-short * Math.sin(turn), short * Math.cos(turn)]
  brush.moveTo(x + ux, y + uy)
  quarter(brush, x, y, ux, uy, vx, vy)
  quarter(brush, x, y, vx, vy, -ux, -uy)
  quarter(brush, x, y, -ux, -uy, -vx, -vy)
  quarter(brush, x, y, -vx, -vy, ux, uy)
}

/** The quarter of an ellipse round x, y from the end of the half axis u to that of v. */
function quarter(brush: Brush, x: number, y: number, ux: number, uy: number, vx: number, vy: number) {
  brush.bezierCurveTo(x + ux + ARM * vx, y + uy + ARM * vy, x + vx + ARM * ux, y + vy + ARM * uy, x + vx, y + vy)
}

export function traceRing(brush: Brush, points: readonly ScreenPoint[]) {
  for (const [i, { x, y }] of points.entries()) {
    if (i === 0) brush.moveTo(x, y)
    else brush.lineTo(x, y)
  }
  brush.closePath()
}

/** A small mark beside a place: light that strobes is marked, never flashed. */
export function traceFlash(brush: Brush, { x, y }: ScreenPoint) {
  brush.moveTo(x + 11, y - 11)
  brush.lineTo(x + 7, y - 4)
  brush.lineTo(x + 11, y - 4)
  brush.lineTo(x + 7, y + 3)
}
