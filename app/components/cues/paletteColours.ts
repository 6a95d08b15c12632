/** The theme's class for each palette colour. */
import type { Palette } from '#core/show/entities'

export const PALETTE_FILL: Readonly<Record<Palette['colour'], string>> = {
  brass: 'fill-brass',
  coral: 'fill-coral',
  kelp: 'fill-kelp',
  shoal: 'fill-shoal',
  heather: 'fill-heather',
  rose: 'fill-rose',
  amber: 'fill-amber',
  sail: 'fill-sail',
}
