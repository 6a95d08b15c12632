/** Papers that were printed. */
import { z } from 'zod'

/** The papers there are. */
export const PAPERS = [
  ...(['palette-charts', 'fixture-charts', 'hang-plot', 'patch', 'hook-up', 'cue-lists'] as const),
  ...(['carry-sheet', 'magic-sheet', 'differences', 'work-list', 'travel'] as const),
] as const

/**
 * The newest print of a paper; its id is the paper's name. `at` is when, milliseconds by the database's
 * clock. `lines` are digests of what every line said, one after the other: twelve hexadecimal digits of
 * which line it is, eight of its words.
 */
export const print = z.strictObject({
  paper: z.enum(PAPERS),
  version: z.number().int().min(1).max(1_000_000),
  at: z.number().int().min(0).max(8.64e15),
  lines: z
    .string()
    .max(4_000_000)
    .regex(/^([0-9a-f]{20})*$/, 'lines are digests of twenty digits'),
})
