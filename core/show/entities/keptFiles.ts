/** Files of other programs that are kept as they came, so that what has no place here goes out with them again. */
import { z } from 'zod'
import * as ids from '../ids'
import { degrees, point } from '../values'

/** All files kept of a show may come to so much, bytes: a back-up holds them. */
export const MOST_KEPT = 40_000_000

/** SHA-256 of what is in a file, in hexadecimal digits. */
export const digest = z.string().regex(/^[0-9a-f]{64}$/, 'a digest is 64 hexadecimal digits')

/** Which axes of its types count left-handed: the standard leaves it open. */
const leftHanded = z.array(z.enum(['pan', 'tilt'])).max(2)

/** A file by what it is called and what is in it; `size` in bytes. */
const file = {
  name: z.string().trim().min(1).max(200),
  digest,
  size: z.number().int().min(1).max(MOST_KEPT),
  leftHanded,
}

/** A rig file taken into a venue: mirrored first where that was wanted, then turned and shifted. */
export const rigFile = z.strictObject({
  venue: ids.venueId,
  ...file,
  /** When it was taken, milliseconds by the database's clock: of two that tell of one thing the newer counts. */
  at: z.number().int().min(0).max(8.64e15),
  mirrored: z.boolean(),
  turn: degrees,
  shift: point,
})

/**
 * The file a fixture type came from: itself, or, where `entry` names one, that file within it. One file
 * can come in as several types; `part` counts them from 0.
 */
export const typeFile = z.strictObject({
  type: ids.fixtureTypeId,
  ...file,
  entry: z.string().max(200),
  part: z.number().int().min(0).max(100),
})
