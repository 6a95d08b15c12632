/** Rules that part a selection: what a group may store of them, and those that speak of a group. */
import { z } from 'zod'
import { groupId } from './ids'

const count = z.number().int().min(1).max(1000)

/** Patterns that stand by themselves: what a group may store. */
const PLAIN = [
  /** Every Nth: the 1st, the N+1st and so on; then the 2nd … */
  z.strictObject({ kind: z.literal('every'), nth: count }),
  /** Runs of N neighbours. */
  z.strictObject({ kind: z.literal('runs'), length: count }),
  /** N parts as alike in size as can be. */
  z.strictObject({ kind: z.literal('parts'), count }),
  /** First and last, second and second last, and so on inwards. */
  z.strictObject({ kind: z.literal('pairs') }),
  z.strictObject({ kind: z.literal('single') }),
] as const
export const plainPattern = z.discriminatedUnion('kind', PLAIN)
export const pattern = z.discriminatedUnion('kind', [
  ...PLAIN,
  /** Those in a group, by the group's own pattern if it has one; then the others. */
  z.strictObject({ kind: z.literal('group'), group: groupId }),
])
export type Pattern = z.infer<typeof pattern>
export type PlainPattern = z.infer<typeof plainPattern>
