/** What is told each second of what comes in. */
import { z } from 'zod'
import { PROTOCOLS } from '../show/entities'

const sourceHeard = z.object({
  protocol: z.enum(PROTOCOLS),
  universe: z.number().int(),
  source: z.string(),
  name: z.string(),
  priority: z.number().int(),
  packets: z.number().int(),
  counts: z.boolean(),
  /** Whether it is an output of this very show. */
  isOwn: z.boolean(),
})
export type SourceHeard = z.infer<typeof sourceHeard>

export const heardStatus = z.object({
  sources: z.array(sourceHeard),
  /** Packets that were left out in the last second: more sources than are kept, late ones, and what is no packet. */
  leftOut: z.number().int(),
  /** How busy the thread that listens is, 0 to 1. */
  load: z.number(),
  trouble: z.string().nullable(),
})
export type HeardStatus = z.infer<typeof heardStatus>

/** Levels of universes as they come in: protocol, number counting from 1, 512 bytes in base64. */
export const heardLevels = z.array(z.tuple([z.enum(PROTOCOLS), z.number().int(), z.base64()]))
