/** The rig: fixture types and their modes, hangs, and fixtures with their place in each venue. */
import { z } from 'zod'
import { attributeId, kindOf, numberAttributeId, inCatalogueOrder } from '../../attributes/attribute'
import { colourPart } from '../../attributes/colourPart'
import { WHEEL_KINDS } from '../../attributes/catalogue'
import { isRising } from '../../light/distribution'
import { GOBO_PATTERNS } from '../../light/goboOpenings'
import * as ids from '../ids'
import { degrees, metres, point } from '../values'
import { channel, MOST_CELLS } from './channels'
import { name } from './parts'

/** An axis of a head: stops and speeds in degrees and seconds; `reversed` where its lowest value is its upper stop. */
const axis = z
  .strictObject({
    min: degrees,
    max: degrees,
    speed: z.number().positive().max(10000),
    acceleration: z.number().positive().max(100000),
    reversed: z.boolean(),
  })
  .refine((a) => a.min < a.max, 'the lower stop must lie below the upper one')
/** Light by direction as it was measured: see `core/light/distribution`. */
const measured = z
  .strictObject({
    planes: z.array(z.number().min(0).lt(360)).min(1).max(16).refine(isRising, 'planes must rise'),
    off: z.array(z.number().min(0).max(180)).min(2).max(64).refine(isRising, 'angles must rise'),
    parts: z.array(z.array(z.number().min(0).max(1))),
  })
  .refine(({ off }) => off[0] === 0, 'the first angle is on the axis, 0')
  .refine(
    ({ planes, off, parts }) => parts.length === planes.length && parts.every((row) => row.length === off.length),
    'every plane needs a part at every angle',
  )
/**
 * What a zoom does, from narrow to wide: full beam angle (half of the peak) and field angle (a
 * tenth) in degrees, and the peak in candela. One row is a fixed lens.
 */
export const optics = z
  .array(
    z
      .strictObject({
        beam: z.number().positive().max(160),
        field: z.number().positive().max(170),
        candela: z.number().positive().max(1e9),
        measured: measured.optional(),
      })
      .refine((row) => row.field > row.beam, 'the field angle must be wider than the beam angle'),
  )
  .min(1, 'a type needs at least one row: its beam angle, field angle and candela')
  .max(40)
  .refine(
    (rows) => rows.every((row, i) => row.beam > (rows[i - 1]?.beam ?? 0)),
    'the beam angles must rise from row to row',
  )

const slot = z.strictObject({
  name,
  /** What a colour slot looks like, as #rrggbb; null for a gobo. */
  colour: z
    .string()
    .regex(/^#[0-9a-f]{6}$/, 'a colour reads #rrggbb')
    .nullable(),
  pattern: z.enum(GOBO_PATTERNS).nullable(),
  /** How many pictures a prism makes of one; left out for what is none. */
  facets: z.number().int().min(1).max(64).optional(),
})
const wheel = z.strictObject({ kind: z.enum(WHEEL_KINDS), name, slots: z.array(slot).min(2).max(40) })

/**
 * Where a type differs from the catalogue: the range of an attribute, what it rests at, how fast it
 * spins at most, turns a minute, and how many seconds it takes from one end to the other.
 */
export const attributeRange = z
  .strictObject({
    attribute: numberAttributeId,
    min: z.number().min(-1e6).max(1e6),
    max: z.number().min(-1e6).max(1e6),
    rest: z.number().min(-1e6).max(1e6).nullable(),
    fastest: z.number().min(0).max(1000).nullable(),
    endToEnd: z.number().min(0).max(60).optional(),
  })
  .refine(({ min, max }) => min <= max, 'the lowest lies above the highest')
  .refine(
    ({ min, max, rest }) => rest === null || (rest >= min && rest <= max),
    'what it rests at lies outside its range',
  )

/** A part that mixes colours: its chromaticity (CIE 1931), and its light at full, of a flag the part that comes through. */
const mixingPart = z.strictObject({
  name: z.string().refine((text) => colourPart(text) !== null, 'a part needs a short name without / . or _'),
  x: z.number().min(0).max(1),
  y: z.number().min(0.001).max(1),
  flux: z.number().positive().max(100),
})
const parts = z
  .array(mixingPart)
  .min(1, 'mixing needs at least one part')
  .max(12)
  .refine((all) => new Set(all.map(({ name }) => colourPart(name))).size === all.length, 'two parts have the same name')
/** How a type mixes colours: of emitters, or by flags in front of a source of a chromaticity. */
export const mixing = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('emitters'), choice: z.enum(['brightest', 'fullest']), parts }),
  z.strictObject({
    kind: z.literal('flags'),
    source: z.strictObject({ x: z.number().min(0).max(1), y: z.number().min(0.001).max(1) }),
    parts: parts.refine((all) => all.every(({ flux }) => flux <= 1), 'a flag lets through no more than all, 1'),
  }),
])

/** How a fixture is drawn. A lamp does not turn. */
export const FORMS = ['profile', 'wash', 'beam', 'lamp'] as const

/** The attributes each cell may have for itself: a fixture has one position. */
const ownOfCell = attributeId.refine((attribute) => kindOf(attribute).unit !== 'place', 'a fixture has one position')
/**
 * Several light sources in one fixture, in a row along the way its lens lies across, `pitch` metres
 * from middle to middle. What they have each for themselves the fixture does not have as a whole.
 */
const cells = z.strictObject({
  count: z.number().int().min(2).max(MOST_CELLS),
  pitch: z.number().positive().max(10),
  has: z.array(ownOfCell).min(1, 'cells need something of their own, such as intensity'),
})

export const fixtureType = z.strictObject({
  maker: name,
  name,
  form: z.enum(FORMS),
  pan: axis,
  tilt: axis,
  pivotDrop: metres,
  lens: z.strictObject({ across: metres, normal: metres, forward: metres }),
  optics,
  wheels: z.array(wheel).max(8),
  has: z.array(attributeId).overwrite((has) => [...has].sort(inCatalogueOrder)),
  ranges: z.array(attributeRange).max(100).default([]),
  mixing: mixing.nullable().default(null),
  cells: cells.nullable().default(null),
})
/** One way a type listens: what stands on which channel. */
export const fixtureMode = z.strictObject({
  type: ids.fixtureTypeId,
  name,
  order: z.number().int().min(1).max(1000),
  channels: z.array(channel).min(1, 'a mode needs at least one channel').max(512),
})
export const hang = z.strictObject({ name, form: z.enum(['bar', 'bridge', 'boom', 'floor']) })
export const hangPlace = z.strictObject({
  venue: ids.venueId,
  hang: ids.hangId,
  origin: point,
  yaw: degrees,
  rise: degrees,
  length: z.number().positive().max(1000),
})
export const fixture = z.strictObject({
  number: z.number().int().min(1).max(99999),
  name: z.string().trim().max(120),
  /** Null when its type is not known (yet): it hangs, but cannot be aimed. */
  type: ids.fixtureTypeId.nullable(),
  mode: ids.fixtureModeId.nullable(),
  universe: z.number().int().min(1).max(63999).nullable(),
  address: z.number().int().min(1).max(512).nullable(),
  note: z.string().max(500),
  /** The fixture it is a cell of, and which, counted from 1; null for what hangs by itself. */
  bar: ids.fixtureId.nullable().default(null),
  cell: z.number().int().min(1).max(MOST_CELLS).nullable().default(null),
})
/** In a venue that has no place for a fixture, another may play its values. */
export const substitute = z.strictObject({ venue: ids.venueId, fixture: ids.fixtureId, by: ids.fixtureId })
export const fixturePlace = z.strictObject({
  venue: ids.venueId,
  fixture: ids.fixtureId,
  hang: ids.hangId,
  along: metres,
  out: metres,
  drop: metres,
  yaw: degrees,
  pitch: degrees,
  roll: degrees,
})
