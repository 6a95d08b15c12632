/** Which papers are to be printed, in which order, on what. */
import { z } from 'zod'
import { FAMILIES } from '../attributes/families'
import { PAPERS } from '../show/entities'
import * as ids from '../show/ids'
import type { PaperName } from '../show/papers'
import { SCALES } from './drawing/pen'
import { numbersWanted } from './numbersWanted'
import { PAGE_SIZES } from './pageSizes'

const numbers = z
  .string()
  .max(500)
  .refine((text) => numbersWanted(text) !== null, 'numbers read like 1-12, 15')
  .default('')

/** One paper with what can be chosen of it. `numbers` are of palettes, fixtures or cues; nothing is all. */
export const paperWish = z.discriminatedUnion('paper', [
  z.strictObject({ paper: z.literal('palette-charts'), numbers }),
  z.strictObject({ paper: z.literal('fixture-charts'), numbers }),
  /** Null for as large as goes on one sheet. */
  z.strictObject({ paper: z.literal('hang-plot'), scale: z.literal(SCALES).nullable().default(null) }),
  z.strictObject({ paper: z.literal('patch') }),
  z.strictObject({ paper: z.literal('hook-up') }),
  z.strictObject({ paper: z.literal('cue-lists'), numbers }),
  z.strictObject({ paper: z.literal('carry-sheet'), numbers, family: z.enum(FAMILIES).default('position') }),
  z.strictObject({ paper: z.literal('magic-sheet') }),
  /** Null for the first other venue. */
  z.strictObject({ paper: z.literal('differences'), there: ids.venueId.nullable().default(null) }),
  z.strictObject({ paper: z.literal('work-list') }),
  z.strictObject({ paper: z.literal('travel') }),
])
export type PaperWish = z.infer<typeof paperWish>

export const paperChoice = z.strictObject({
  size: z.enum(PAGE_SIZES),
  papers: z
    .array(paperWish)
    .max(PAPERS.length)
    .refine((papers) => new Set(papers.map(({ paper }) => paper)).size === papers.length, 'a paper is printed once'),
})
export type PaperChoice = z.infer<typeof paperChoice>

/** A paper as it is chosen at first. */
export function firstWish(paper: PaperName): PaperWish {
  return paperWish.parse({ paper })
}

/** What is printed until somebody chooses: the charts one focuses by. */
export const FIRST_CHOICE: PaperChoice = { size: 'A4', papers: [firstWish('palette-charts')] }
