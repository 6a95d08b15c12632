/**
 * A rig file (DIN SPEC 15801) as it was read: everything in its own frame, metres and degrees, by the
 * ids the file gives. What comes of it in a show is decided later, by whoever takes it.
 */
import { z } from 'zod'
import { UNDERLAY_FORMS } from '../../show/entities'
import { UNIT_NAMES } from '../drawing/units'
import { typeWithModes } from '../../commands/shared/typeWithModes'

const id = z.string().min(1).max(200)
const text = z.string().max(200)
const place = z.object({ x: z.number(), y: z.number(), z: z.number() })
const whole = z.number().int()

export const readNote = z.object({
  about: z.string(),
  message: z.string(),
  severity: z.enum(['lost', 'look']),
})

export const readFixture = z.object({
  id,
  name: text,
  /** Null where the file gives none. */
  number: whole.min(1).max(99999).nullable(),
  /** The file of its type, and the mode in it; empty where the file names none. */
  spec: text,
  mode: text,
  position: place,
  yaw: z.number(),
  pitch: z.number(),
  roll: z.number(),
  /** The id of what it hangs on; null where the file does not say. */
  on: id.nullable(),
  layer: text,
  /** The name of its class; empty for none. */
  classing: text,
  /** By the number of the address, from 1. */
  addresses: z.array(z.object({ number: whole, universe: whole, address: whole })),
  inverted: z.array(z.enum(['pan', 'tilt'])),
})

/** Upright, in the frame of its piece: a convex outline and the heights it stands between. */
const readPrism = z.object({
  outline: z.array(z.object({ x: z.number(), y: z.number() })),
  bottom: z.number(),
  top: z.number(),
})

export const readPiece = z.object({
  id,
  name: text,
  layer: text,
  position: place,
  yaw: z.number(),
  prisms: z.array(readPrism),
})

export const readHang = z.object({
  id,
  name: text,
  /** The two ends of a truss that carries it; null where the file draws none. */
  ends: z.tuple([place, place]).nullable(),
  /** Which way one that is upright faces. */
  yaw: z.number(),
})

export const readTypeFile = z.object({
  spec: text,
  /** Its name in the rig file that holds it; empty for a type by itself. */
  entry: text,
  /** The id the type has in the file. */
  id: z.string(),
  types: z.array(
    z.object({
      type: typeWithModes,
      breaks: z.record(z.string(), z.array(z.object({ number: whole, first: whole, channels: whole }))),
    }),
  ),
  notes: z.array(readNote),
})

/** A drawing of a set: the unit it says it is in; null where it says none. Taken as metres then. */
export const readDrawing = z.object({ unit: z.enum(UNIT_NAMES).nullable() })

/** What can lie under the plan: lines by layer, or a picture, which has none. */
export const readUnderlay = z.object({
  form: z.enum(UNDERLAY_FORMS),
  name: text,
  /** Its lower left corner in the drawing, and how large it is: in the drawing's metres, or in units of its own. */
  corner: z.object({ x: z.number(), y: z.number() }),
  width: z.number().positive(),
  height: z.number().positive(),
  layers: z.array(z.object({ name: text, path: z.string(), hasLines: z.boolean() })),
})

export const rigReading = z.object({
  provider: text,
  /** Null for a rig file. */
  drawing: readDrawing.nullable(),
  hangs: z.array(readHang),
  fixtures: z.array(readFixture),
  targets: z.array(z.object({ id, name: text, position: place })),
  pieces: z.array(readPiece),
  /** Null for a rig file. */
  underlay: readUnderlay.nullable(),
  types: z.array(readTypeFile),
  notes: z.array(readNote),
})

export type RigReading = z.infer<typeof rigReading>
export type ReadFixture = z.infer<typeof readFixture>
export type ReadPiece = z.infer<typeof readPiece>
export type ReadUnderlay = z.infer<typeof readUnderlay>
export type ReadHang = z.infer<typeof readHang>
export type ReadTypeFile = z.infer<typeof readTypeFile>
export type ReadPrism = z.infer<typeof readPrism>
