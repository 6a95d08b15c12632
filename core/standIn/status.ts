/** Whether a stand-in rig runs, as the Output room is told. */
import { z } from 'zod'

export const standInStatus = z.discriminatedUnion('state', [
  z.strictObject({ state: z.literal('off') }),
  z.strictObject({ state: z.literal('on'), url: z.url() }),
  z.strictObject({ state: z.literal('of another show'), name: z.string() }),
])
export type StandInStatus = z.infer<typeof standInStatus>
