/** Groups and working sets, and palettes with what they hold. */
import { z } from 'zod'
import { attributeId } from '../../attributes/attribute'
import { SHELVES } from '../../attributes/families'
import * as ids from '../ids'
import { plainPattern } from '../patterns'
import { degrees, fitsAttribute, MISFIT_OF_ATTRIBUTE, point, value } from '../values'
import { attributes, colour, entryNumber, families, name, seconds } from './parts'

export const PALETTE_COLOURS = colour.options
/** As the order runs, or so that the beams do not cross, or so that they do. */
export const FAN_LAYS = ['in order', 'parallel', 'crossing'] as const
export const group = z.strictObject({ number: entryNumber, name, colour, pattern: plainPattern.nullable() })
export const groupMember = z.strictObject({ group: ids.groupId, fixture: ids.fixtureId, order: z.number() })
/** The fixtures one may touch while the set is on. */
export const workingSet = z.strictObject({ name })
export const workingSetMember = z.strictObject({ workingSet: ids.workingSetId, fixture: ids.fixtureId })
export const palette = z.strictObject({
  number: entryNumber,
  name,
  colour,
  symbol: z.string().max(8).nullable(),
  shelf: z.enum(SHELVES),
  take: families,
  heldBack: attributes,
  note: z.string().max(500),
  /** Seconds its recall takes; null for at once. */
  time: seconds.nullable(),
})
/** What recording on a shelf takes, where it differs from what it takes at first; its id is the shelf. */
export const shelfMask = z.strictObject({ take: families, heldBack: attributes })
/** A colour of a list that was brought in: its chromaticity (CIE 1931), and how bright of the brightest that can be had. */
export const swatch = z.strictObject({
  list: name,
  name,
  order: z.number().int().min(1).max(100000),
  x: z.number().min(0).max(1),
  y: z.number().min(0.001).max(1),
  level: z.number().min(0).max(1),
})
/** Members of a group spread over a line or ring in their order, kept as a rule; its id is the palette. */
export const paletteSpread = z.strictObject({
  palette: ids.paletteId,
  group: ids.groupId,
  target: ids.targetId,
  lay: z.enum(FAN_LAYS),
})
/**
 * A small correction on top of what a palette gives a fixture, in one venue: metres in the stage frame
 * for what is aimed, degrees for angles. Who made it last, and when: milliseconds by the database's clock.
 */
export const touchUp = z.strictObject({
  venue: ids.venueId,
  palette: ids.paletteId,
  fixture: ids.fixtureId,
  offset: point,
  pan: degrees,
  tilt: degrees,
  by: ids.personId.nullable(),
  at: z.number().int(),
  note: z.string().max(500),
})
/** A fixture a palette was recorded with: its values may serve many more. */
export const recordedFixture = z.strictObject({ palette: ids.paletteId, fixture: ids.fixtureId })
/** Own serves one fixture, kind one type, any every fixture that has the attribute. */
export const paletteValue = z
  .strictObject({
    palette: ids.paletteId,
    fixture: ids.fixtureId.nullable(),
    fixtureType: ids.fixtureTypeId.nullable(),
    attribute: attributeId,
    value,
  })
  .refine((v) => v.fixture === null || v.fixtureType === null, 'a value serves a fixture or a type, not both')
  .refine(fitsAttribute, MISFIT_OF_ATTRIBUTE)
