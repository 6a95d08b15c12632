/** A pass: the ordered work of checking palettes on the real stage. */
import { z } from 'zod'
import * as ids from '../ids'
import { degrees } from '../values'

export const PASS_ORDERS = ['by cue', 'by walk', 'by hand'] as const
/** Whether a correction counts in every venue, or is a touch-up of the one in play. */
export const CORRECTIONS = ['for good', 'for here'] as const
/** What becomes of light that is not being checked while something is. */
export const PASS_OTHERS = ['out', 'as they are'] as const
/** What a person says of a palette of a pass that cannot be told from what was checked. */
export const PASS_MARKS = ['another look', 'cannot be done'] as const

/**
 * The pass of a venue; its id is the venue's. `level` is how bright what is checked is brought up, 0 to
 * 1; `corrections` what a correction made in it counts for; `startedAt` in milliseconds by the database's clock.
 */
export const pass = z.strictObject({
  venue: ids.venueId,
  order: z.enum(PASS_ORDERS),
  level: z.number().min(0).max(1),
  others: z.enum(PASS_OTHERS),
  corrections: z.enum(CORRECTIONS),
  startedAt: z.number().int().min(0),
})
/** What is said of a palette in a pass. `rank` is its place where the order is by hand. */
export const passStep = z.strictObject({
  pass: ids.passId,
  palette: ids.paletteId,
  rank: z.number().int().min(0).max(100_000).nullable(),
  mark: z.enum(PASS_MARKS).nullable(),
  note: z.string().max(500),
})
/** A fixture found right in a palette: how its axes stood then, degrees; by whom and when. */
export const passCheck = z.strictObject({
  pass: ids.passId,
  palette: ids.paletteId,
  fixture: ids.fixtureId,
  pan: degrees,
  tilt: degrees,
  by: ids.personId.nullable(),
  at: z.number().int().min(0),
})
/** Something seen in a cue while it ran that is to be put right in a venue; by whom and when it was said. */
export const cueNote = z.strictObject({
  venue: ids.venueId,
  cue: ids.cueId,
  text: z.string().trim().min(1, 'say what is to be put right').max(500),
  by: ids.personId.nullable(),
  at: z.number().int().min(0),
  isDone: z.boolean(),
})
