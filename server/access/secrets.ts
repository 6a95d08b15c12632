/** Keys of links and tokens of browsers: long and random, kept as hashes only. */
import { createHash, randomBytes } from 'node:crypto'
import { z } from 'zod'

/** 192 bits that nobody guesses: a plain hash of them is as good as a slow one. */
const BYTES = 24

export const secret = z.string().regex(/^[\w-]{32}$/, 'this is not the whole of it')

export const newSecret = (): string => randomBytes(BYTES).toString('base64url')

/** 64 hexadecimal digits. */
export const hashOf = (text: string): string => createHash('sha256').update(text).digest('hex')
