/** How sending goes, as it is told each second. */
import { z } from 'zod'
import { outputId } from '../show/ids'

const outputStatus = z.object({
  output: outputId,
  /** Universes of it that anything is patched in. */
  universes: z.number().int(),
  /** Packets a second, and those the network did not take. */
  packets: z.number(),
  lost: z.number().int(),
  /** What is wrong with it, in a sentence. */
  trouble: z.string().nullable(),
})
export type OutputStatus = z.infer<typeof outputStatus>

export const sendingStatus = z.object({
  /** Who sends: this server, another on the same database, or nobody because nothing is on. */
  by: z.enum(['here', 'elsewhere', 'nobody']),
  outputs: z.array(outputStatus),
  /** How far frames were off their time, milliseconds: 99 in 100 are within this; null while nothing moves. */
  jitterMilliseconds: z.number().nullable(),
  /** Frames of the last second that were left out because one took too long. */
  missed: z.number().int(),
  /** How busy the thread is, 0 to 1. */
  load: z.number(),
  trouble: z.string().nullable(),
})
export type SendingStatus = z.infer<typeof sendingStatus>

/** An interface of the network that levels may be sent from. */
export const networkInterface = z.object({ name: z.string(), address: z.ipv4(), isLoopback: z.boolean() })
export type NetworkInterface = z.infer<typeof networkInterface>
