/** What the track of an attribute shows of what it does, where that can be drawn. */
import { hexOf, whiteOf } from '#core/colour/colour'
import { kindOf } from '#core/attributes/attribute'
import type { GoboPattern } from '#core/light/goboOpenings'
import type { HandAttribute } from './useHandAttributes'

const STOPS = 12

/** The ground of a track that shows colours, as CSS: whites by temperature, the slots of a wheel. Null for any other. */
export function trackGround({ range, wheel }: Pick<HandAttribute, 'range' | 'wheel'>): string | null {
  if (range.unit === 'kelvin') {
    const at = (part: number) => hexOf(whiteOf(range.min + part * (range.max - range.min)))
    return `linear-gradient(to right, ${Array.from({ length: STOPS + 1 }, (_, i) => at(i / STOPS)).join(', ')})`
  }
  const colours = wheel?.kind === 'colour' ? wheel.slots.map(({ colour }) => colour ?? '#000000') : []
  if (colours.length < 2) return null
  const last = colours.length - 1
  // A slot is in the middle of where it is chosen, so the first and the last have half as much.
  const edge = (i: number) => `${((100 * Math.min(last, Math.max(0, i))) / last).toFixed(2)}%`
  return `linear-gradient(to right, ${colours.map((colour, i) => `${colour} ${edge(i - 0.5)} ${edge(i + 0.5)}`).join(', ')})`
}

/** A picture along a track, at a part of its length. */
export interface TrackPicture {
  readonly at: number
  readonly pattern: GoboPattern
}

/** The gobos of a wheel along its track; none for any other attribute. */
export function trackGobos({ wheel }: Pick<HandAttribute, 'wheel'>): readonly TrackPicture[] {
  if (wheel?.kind !== 'gobo') return []
  const last = Math.max(1, wheel.slots.length - 1)
  return wheel.slots.flatMap(({ pattern }, i) => (pattern && pattern !== 'open' ? [{ at: i / last, pattern }] : []))
}

/** Whether an attribute is how wide a beam opens: its track shows the beam. */
export function isBeamAngle({ attribute, range }: Pick<HandAttribute, 'attribute' | 'range'>): boolean {
  return range.unit === 'degrees' && kindOf(attribute).family === 'beam'
}

/** A beam of a full angle as an SVG path, from its point at `x`, `y` over a length. */
export function beamPath(angle: number, x: number, y: number, length: number): string {
  const half = length * Math.tan((Math.min(170, angle) / 360) * Math.PI)
  return `M${x} ${y}L${x + length} ${(y - half).toFixed(2)}V${(y + half).toFixed(2)}Z`
}
