/** The papers there are, as people call them. */
import type { PAPERS } from './entities'

export type PaperName = (typeof PAPERS)[number]

export const PAPER_TITLES: Readonly<Record<PaperName, string>> = {
  'palette-charts': 'Focus charts by palette',
  'fixture-charts': 'Focus charts by fixture',
  'hang-plot': 'Hang plot',
  patch: 'Patch',
  'hook-up': 'Hook-up',
  'cue-lists': 'Cue lists',
  'carry-sheet': 'Carry sheet',
  'magic-sheet': 'Magic sheet',
  differences: 'Difference of two venues',
  'work-list': 'Refocus work list',
  travel: 'Travel troubles',
}
