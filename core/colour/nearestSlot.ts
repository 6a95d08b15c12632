/** The slot of a wheel that comes nearest to a colour. */
import { colourDifference, type Colour } from './colour'

export interface NearestSlot {
  /** By number from 0. */
  readonly slot: number
  /** In ΔE 2000. */
  readonly difference: number
}

/** Null for a wheel none of whose slots has a colour. */
export function nearestSlot(slots: readonly (Colour | null)[], wanted: Colour): NearestSlot | null {
  let nearest: NearestSlot | null = null
  for (const [slot, colour] of slots.entries()) {
    if (!colour) continue
    const difference = colourDifference(wanted, colour)
    if (!nearest || difference < nearest.difference) nearest = { slot, difference }
  }
  return nearest
}
