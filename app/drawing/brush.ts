/** Strokes shared by the drawings of light. */
import type { ScreenPoint } from '../composables/usePlanView'

/** What the drawings need of a canvas. */
export type Brush = Pick<
  CanvasRenderingContext2D,
  | 'arc'
  | 'beginPath'
  | 'clip'
  | 'closePath'
  | 'ellipse'
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

export function traceRing(brush: Brush, points: readonly ScreenPoint[]) {
  for (const [i, { x, y }] of points.entries()) {
    if (i === 0) brush.moveTo(x, y)
    else brush.lineTo(x, y)
  }
  brush.closePath()
}
