/** What the server says of kept versions, checked at the border. */
import { z } from 'zod'

const version = z.object({
  id: z.string(),
  name: z.string(),
  at: z.iso.datetime(),
  by: z.string(),
  automatic: z.boolean(),
})
export type KeptVersion = z.infer<typeof version>
export const versionList = z.object({ versions: z.array(version) })

const difference = z.object({
  section: z.enum(['Palettes', 'Cues', 'Rig and stage']),
  what: z.string(),
  how: z.enum(['new', 'gone', 'changed']),
  lines: z.array(z.string()),
})
export type Difference = z.infer<typeof difference>
export const differenceList = z.object({ differences: z.array(difference) })

/** An answer that only says it was done. */
export const nothing = z.object({})
