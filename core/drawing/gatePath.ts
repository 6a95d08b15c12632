/** Rings of the gate of a head as SVG paths, whose y grows downwards. */
import type { GateRing } from '../light/gatePoint'

/** `radius` is how long the rim's 1 is drawn. */
export function gatePath(rings: readonly GateRing[], radius: number): string {
  const place = ([x, y]: GateRing[number]) => `${(x * radius).toFixed(2)} ${(-y * radius).toFixed(2)}`
  return rings.map((ring) => `M${ring.map(place).join('L')}Z`).join('')
}
