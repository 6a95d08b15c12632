/** The three numbers of a place as fields, each changing one of them. */
import type { Vec3 } from '#core/geometry/vector'

export interface AxisField {
  readonly axis: 'x' | 'y' | 'z'
  readonly label: string
}

export const PLACE_FIELDS: readonly AxisField[] = [
  { axis: 'x', label: 'Across' },
  { axis: 'y', label: 'Upstage' },
  { axis: 'z', label: 'Height' },
]

export function withAxis(place: Vec3, axis: AxisField['axis'], value: number): Vec3 {
  return { ...place, [axis]: value }
}
