/** A cell of the venues' sheet as it is to be. */
import { z } from 'zod'
import { PLACED_KINDS } from '../../refocus/perVenueFields'
import { venueId } from '../../show/ids'

export const venueCell = z.strictObject({
  kind: z.enum([...PLACED_KINDS, 'opening', 'zone', 'level', 'touchUp']),
  id: z.string().min(1).max(200),
  what: z.string().min(1).max(40),
  venue: venueId,
  /** Metres, degrees or percent; for a fixture the name of a hang, or "by 61"; an outline in a line; null for absent. */
  value: z.union([z.number().min(-3600).max(3600), z.string().max(12_000), z.null()]),
})
export type VenueCell = z.infer<typeof venueCell>
