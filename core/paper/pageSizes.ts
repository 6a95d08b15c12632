/** Paper, and what of it is printed on. Millimetres. */
export const PAGE_SIZES = ['A4', 'A3', 'Letter'] as const
export type PageSize = (typeof PAGE_SIZES)[number]

const UPRIGHT: Readonly<Record<PageSize, { readonly widthMm: number; readonly heightMm: number }>> = {
  A4: { widthMm: 210, heightMm: 297 },
  A3: { widthMm: 297, heightMm: 420 },
  Letter: { widthMm: 215.9, heightMm: 279.4 },
}

/** Kept free at the edges; above and below with room for a line of words. */
export const MARGINS = { side: 12, above: 18, below: 15 } as const

export interface PrintedArea {
  readonly widthMm: number
  readonly heightMm: number
}

/** What of a page can be filled. */
export function printedArea(size: PageSize, isLandscape: boolean): PrintedArea {
  const { widthMm, heightMm } = UPRIGHT[size]
  const [wide, tall] = isLandscape ? [heightMm, widthMm] : [widthMm, heightMm]
  return { widthMm: wide - 2 * MARGINS.side, heightMm: tall - MARGINS.above - MARGINS.below }
}
