/** The stage: the show's own record, venues, the set and targets. */
import { z } from 'zod'
import * as ids from '../ids'
import { degrees, metres, point } from '../values'
import { name, plainPoint, ring, size, TRAVELS } from './parts'

/** Where a solid stands on its set piece: metres, degrees about the vertical, metres up. */
const seat = {
  at: plainPoint.default({ x: 0, y: 0 }),
  turn: degrees.default(0),
  base: metres.default(0),
}
/** A solid in a set piece's own frame. Metres; a box's width runs along x, steps rise along +y. */
export const solid = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('box'), ...seat, width: size, depth: size, height: size }),
  z.strictObject({ kind: z.literal('cylinder'), ...seat, radius: size, height: size }),
  z.strictObject({ kind: z.literal('prism'), ...seat, outline: ring, height: size }),
  z.strictObject({
    kind: z.literal('steps'),
    ...seat,
    width: size,
    depth: size,
    height: size,
    count: z.number().int().min(1).max(100),
  }),
  z.strictObject({ kind: z.literal('flat'), ...seat, width: size, thickness: size, height: size }),
  z.strictObject({ kind: z.literal('person'), ...seat, height: size }),
])

/** A raised part of the stage. `height` is that of its lowest edge; a rake climbs `percent` towards `bearing` (90 is upstage). */
const level = z.strictObject({
  name,
  outline: ring,
  height: metres,
  rake: z.strictObject({ percent: z.number().min(0).max(100), bearing: degrees }),
})

/** Moves in the dark as soon as it is dark, or just before there is light. */
export const DARK_ORDERS = ['early', 'late'] as const
export const COLOUR_FADES = ['by look', 'by parts'] as const

/**
 * `rest` is the palette everything comes to when nothing else sets it, `highlight` how what is brought
 * out is seen, `colourFade` whether colours go over as the eye has equal steps or every part in step,
 * `travel` how cues move heads where nothing else is said, `darkWhen` when moves in the dark are made
 * where that is planned and nothing else is said, `darkMargin` the seconds kept between light and move.
 */
export const showRecord = z.strictObject({
  name,
  venue: ids.venueId,
  rest: ids.paletteId.nullable(),
  highlight: ids.paletteId.nullable(),
  colourFade: z.enum(COLOUR_FADES).default('by look'),
  travel: z.enum(TRAVELS).default('angle'),
  darkWhen: z.enum(DARK_ORDERS).default('early'),
  darkMargin: z.number().min(0).max(10).default(0.2),
})
/** Kept clear from the floor to a height; without one, to that of people's heads. */
const keepClearZone = z.strictObject({ name, outline: ring, height: size.optional() })
export const venue = z.strictObject({
  name,
  outline: ring,
  opening: z.strictObject({ width: size, height: size, depth: size }),
  keepClear: z.array(keepClearZone).max(100),
  levels: z.array(level).max(100),
  note: z.string().max(2000).default(''),
  /** The day it plays there. */
  date: z.iso.date().nullable().default(null),
})
/** Set pieces in a layer are shown, hidden and locked together. */
export const layer = z.strictObject({ name, visible: z.boolean(), locked: z.boolean() })
export const setPiece = z.strictObject({
  name,
  solids: z.array(solid).min(1, 'a set piece needs at least one solid').max(100),
  layer: ids.layerId.nullable(),
})
export const setPiecePlace = z.strictObject({
  venue: ids.venueId,
  setPiece: ids.setPieceId,
  position: point,
  yaw: degrees,
})
/** Numbered places along a line or round a ring; 0 for none. */
const stations = z.number().int().min(0).max(100).default(0)
export const targetForm = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('point') }),
  z.strictObject({ kind: z.literal('line'), to: point, stations }),
  z.strictObject({ kind: z.literal('ring'), radius: size, stations }),
])
/** `local` is where a tied target sits in its set piece's frame; free targets have a place a venue. */
export const target = z
  .strictObject({ name, form: targetForm, setPiece: ids.setPieceId.nullable(), local: point.nullable() })
  .refine((t) => (t.setPiece === null) === (t.local === null), 'a tied target has a place on its set piece')
export const targetPlace = z.strictObject({ venue: ids.venueId, target: ids.targetId, position: point })
