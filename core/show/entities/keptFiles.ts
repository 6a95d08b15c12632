/**
 * Files that are kept with a show: those of other programs as they came, so that what has no place here
 * goes out with them again, and drawings and pictures that lie under the plan.
 */
import { z } from 'zod'
import * as ids from '../ids'
import { degrees, metres, point } from '../values'

/** All files kept of a show may come to so much, bytes: a back-up holds them. */
export const MOST_KEPT = 40_000_000

/** SHA-256 of what is in a file, in hexadecimal digits. */
export const digest = z.string().regex(/^[0-9a-f]{64}$/, 'a digest is 64 hexadecimal digits')

/** Which axes of its types count left-handed: the standard leaves it open. */
const leftHanded = z.array(z.enum(['pan', 'tilt'])).max(2)

/** A file by what it is called and what is in it; `size` in bytes. */
const kept = {
  name: z.string().trim().min(1).max(200),
  digest,
  size: z.number().int().min(1).max(MOST_KEPT),
}
const file = { ...kept, leftHanded }

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

/** Lines of a drawing, in layers; or a picture. */
export const UNDERLAY_FORMS = ['lines', 'picture'] as const
/** How large a drawing is in its own unit. */
const extent = z.number().positive().max(1e7)
const layerName = z.string().max(120)

/**
 * What lies under the plan of a venue, to trace on. It is `width` by `height` of its own unit, measured
 * from its lower left corner: what a drawing counts in, pixels of a picture, metres of a page. `scale`
 * makes metres of them; then it is mirrored across its own left edge where that is wanted, turned about
 * that corner, and the corner put at x and y.
 */
export const underlay = z.strictObject({
  venue: ids.venueId,
  ...kept,
  form: z.enum(UNDERLAY_FORMS),
  width: extent,
  height: extent,
  scale: z.number().min(1e-6).max(1e5),
  mirrored: z.boolean(),
  turn: degrees,
  x: metres,
  y: metres,
  /** How strongly it is seen. */
  strength: z.number().min(0.05).max(1),
  visible: z.boolean(),
  /** Layers of its lines that are not seen, by name. */
  hidden: z.array(layerName).max(1000),
})
