/** The theme's classes for the colours of palettes and groups. */
import type { Palette } from '#core/show/entities'

type Colour = Palette['colour']

export const PALETTE_FILL: Readonly<Record<Colour, string>> = {
  brass: 'fill-brass',
  coral: 'fill-coral',
  kelp: 'fill-kelp',
  shoal: 'fill-shoal',
  heather: 'fill-heather',
  rose: 'fill-rose',
  amber: 'fill-amber',
  sail: 'fill-sail',
}

export const COLOUR_GROUND: Readonly<Record<Colour, string>> = {
  brass: 'bg-brass',
  coral: 'bg-coral',
  kelp: 'bg-kelp',
  shoal: 'bg-shoal',
  heather: 'bg-heather',
  rose: 'bg-rose',
  amber: 'bg-amber',
  sail: 'bg-sail',
}
