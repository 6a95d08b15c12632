/** Where the levels of a show go: outputs, each with its protocol, universes and way over a network. */
import { z } from 'zod'
import { name } from './parts'

export const PROTOCOLS = ['E1.31', 'Art-Net'] as const
export type Protocol = (typeof PROTOCOLS)[number]

/** The numbers a universe can go out by: E1.31 counts from 1, Art-Net's port addresses from 0. */
export const SENT_NUMBERS: Readonly<Record<Protocol, { readonly least: number; readonly most: number }>> = {
  'E1.31': { least: 1, most: 63999 },
  'Art-Net': { least: 0, most: 32767 },
}
/** One output carries so many universes at most. */
export const MOST_UNIVERSES = 256

/** Where a network interface that reaches nothing but this machine has its address. */
export const LOOPBACK = '127.0.0.1'

/** A source name takes 63 bytes at most as it goes out. */
const sourceName = z
  .string()
  .trim()
  .min(1)
  .max(63)
  .refine((text) => new TextEncoder().encode(text).length <= 63, 'a source name takes 63 bytes at most')

/**
 * `first` to `last` are universes of the show, `sentAs` the number the first goes out by; the others
 * follow it. Without `addresses` they go to everyone who listens: by multicast or broadcast. `from` is
 * the address of the network interface. `priority`, `sync` (the universe that tells receivers to show
 * what they have) and `sourceName` are E1.31's; for Art-Net `sync` being there has the same told in its
 * way. `level` is the grand master of this output, 0 to 1; `isBlack` takes all its light away.
 */
export const outputFields = z.strictObject({
  name,
  protocol: z.enum(PROTOCOLS),
  first: z.number().int().min(1).max(63999),
  last: z.number().int().min(1).max(63999),
  sentAs: z.number().int().min(0).max(63999),
  addresses: z.array(z.ipv4()).max(32),
  from: z.ipv4(),
  priority: z.number().int().min(0).max(200),
  sync: z.number().int().min(1).max(63999).nullable(),
  sourceName,
  isOn: z.boolean(),
  level: z.number().min(0).max(1),
  isBlack: z.boolean(),
})
export const output = outputFields
  .refine(({ first, last }) => first <= last, 'the first universe lies above the last')
  .refine(({ first, last }) => last - first < MOST_UNIVERSES, `an output carries ${MOST_UNIVERSES} universes at most`)
  .refine(({ protocol, first, last, sentAs }) => {
    const { least, most } = SENT_NUMBERS[protocol]
    return sentAs >= least && sentAs + last - first <= most
  }, 'these universes would go out by numbers the protocol does not have')
