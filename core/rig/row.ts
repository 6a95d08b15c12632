/** Placing fixtures in a row along a hang. Metres from the hang's middle. */
import { fineMetres } from '../geometry/fineMetres'

export interface RowWish {
  readonly count: number
  /** Metres between two neighbours; null spreads them evenly over the hang. */
  readonly gap: number | null
  /** Where the middle of the row lies. */
  readonly middle: number
}

/**
 * Where each fixture of a row sits on a hang of `length` metres, from its negative to its positive
 * end. An even spread leaves half a gap free at either end.
 */
export function alongRow({ count, gap, middle }: RowWish, length: number): number[] {
  const step = gap ?? length / count
  return Array.from({ length: count }, (_, i) => fineMetres(middle + (i - (count - 1) / 2) * step))
}
