/** What the colours of palettes and groups are printed with: dark enough to be told apart on white paper. */
import type { PALETTE_COLOURS } from '../show/entities'

export const PALETTE_INKS: Readonly<Record<(typeof PALETTE_COLOURS)[number], string>> = {
  brass: '#c79a2e',
  coral: '#d0553a',
  kelp: '#3f8f5a',
  shoal: '#2f88a3',
  heather: '#7a61c4',
  rose: '#bd4f7c',
  amber: '#b86a22',
  sail: '#4d5b59',
}
