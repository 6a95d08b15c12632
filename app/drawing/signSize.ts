/** Signs keep their size down to so many pixels a metre, then shrink with the drawing, but not below so much. */
const ROOMY = 24
const SMALLEST = 0.6

/** The size of signs on a drawing of so many pixels a metre; 1 where there is room. */
export function signSize(scale: number): number {
  return Math.min(1, Math.max(SMALLEST, scale / ROOMY))
}
