/** What is told of controls while somebody looks. */
import { z } from 'zod'

const said = z.object({
  /** Counts up in one server, so that no two are the same. */
  id: z.number().int(),
  /** Milliseconds since 1970. */
  at: z.number(),
  from: z.string(),
  address: z.string(),
  args: z.array(z.union([z.number(), z.string(), z.boolean(), z.null()])),
  /** What it did, or why nothing. */
  did: z.string().nullable(),
  why: z.string().nullable(),
})
export type Said = z.infer<typeof said>

export const controlsStatus = z.object({
  /** The newest last. */
  said: z.array(said),
  /** Why nothing can be heard. */
  trouble: z.string().nullable(),
  /** Packets that are no OSC, or too many, in all. */
  leftOut: z.number().int(),
  /** How many fixtures controls act on. */
  selected: z.number().int(),
})
export type ControlsStatus = z.infer<typeof controlsStatus>
