/** What the stand-in rig and whoever started it say to each other. */
import { z } from 'zod'
import { howOff } from '#core/standIn/hiddenErrors'

/** `document` is a show as a back-up holds it, with its rig and its stage alone. */
export const toStandIn = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('begin'), document: z.unknown(), how: howOff, port: z.number().int() }),
  /** Set pieces and targets are elsewhere now; the rig hangs as it did. */
  z.strictObject({ kind: z.literal('stage'), document: z.unknown() }),
])
export type ToStandIn = z.infer<typeof toStandIn>

export const fromStandIn = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('ready'), url: z.url() }),
  z.strictObject({ kind: z.literal('failed'), message: z.string() }),
])
export type FromStandIn = z.infer<typeof fromStandIn>
