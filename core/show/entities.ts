/**
 * Every kind of thing a show is made of. Show-wide things and their place in each venue are
 * apart, so that the same palettes and cues play in every venue.
 */
import { z } from 'zod'
import { ATTRIBUTES, FAMILIES, SHELVES } from './families'
import * as ids from './ids'
import { degrees, metres, point, value } from './values'

const name = z.string().trim().min(1, 'a name is wanted').max(120)
/** Numbers of palettes, cues and groups may have three decimals. */
export const entryNumber = z
  .number()
  .positive()
  .max(99999)
  .refine((n) => Math.abs(n * 1000 - Math.round(n * 1000)) < 1e-6, 'at most three decimals')
const seconds = z.number().min(0).max(3600)
const families = z.array(z.enum(FAMILIES))
const colour = z.enum(['brass', 'coral', 'kelp', 'shoal', 'heather', 'rose', 'amber', 'sail'])
export const PALETTE_COLOURS = colour.options

const axis = z
  .strictObject({
    min: degrees,
    max: degrees,
    speed: z.number().positive(),
    acceleration: z.number().positive(),
  })
  .refine((a) => a.min < a.max, 'the lower stop must lie below the upper one')
const plainPoint = z.strictObject({ x: metres, y: metres })
const ring = z.array(plainPoint).min(2).max(500)

/** A solid in a set piece's own frame, standing on its origin. Metres. */
const solid = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('cylinder'), radius: metres, base: metres, height: metres }),
  z.strictObject({ kind: z.literal('prism'), outline: ring, base: metres, height: metres }),
  z.strictObject({ kind: z.literal('person'), height: metres }),
])

export const showRecord = z.strictObject({ name, venue: ids.venueId })
export const person = z.strictObject({ name, take: families })
export const fixtureType = z.strictObject({
  maker: name,
  name,
  form: z.enum(['profile', 'wash', 'beam']),
  pan: axis,
  tilt: axis,
  pivotDrop: metres,
  lens: z.strictObject({ across: metres, normal: metres, forward: metres }),
  zoom: z.strictObject({ min: z.number().positive(), max: z.number().positive().max(170) }).nullable(),
  has: z.array(z.enum(ATTRIBUTES)),
  channels: z.number().int().min(1).max(512),
})
export const venue = z.strictObject({
  name,
  outline: ring,
  opening: z.strictObject({ width: metres, height: metres, depth: metres }),
  keepClear: z.array(z.strictObject({ name, outline: ring })),
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
  type: ids.fixtureTypeId,
  universe: z.number().int().min(1).max(63999).nullable(),
  address: z.number().int().min(1).max(512).nullable(),
  note: z.string().max(500),
})
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
export const setPiece = z.strictObject({ name, solids: z.array(solid).min(1).max(100) })
export const setPiecePlace = z.strictObject({
  venue: ids.venueId,
  setPiece: ids.setPieceId,
  position: point,
  yaw: degrees,
})
export const targetForm = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('point') }),
  z.strictObject({ kind: z.literal('line'), to: point }),
  z.strictObject({ kind: z.literal('ring'), radius: z.number().positive().max(1000) }),
])
/** `local` is where a tied target sits in its set piece's frame; free targets have a place a venue. */
export const target = z
  .strictObject({ name, form: targetForm, setPiece: ids.setPieceId.nullable(), local: point.nullable() })
  .refine((t) => (t.setPiece === null) === (t.local === null), 'a tied target has a place on its set piece')
export const targetPlace = z.strictObject({ venue: ids.venueId, target: ids.targetId, position: point })
export const group = z.strictObject({ number: entryNumber, name })
export const groupMember = z.strictObject({ group: ids.groupId, fixture: ids.fixtureId, order: z.number() })
export const palette = z.strictObject({
  number: entryNumber,
  name,
  colour,
  symbol: z.string().max(8).nullable(),
  shelf: z.enum(SHELVES),
  take: families,
})
/** Own serves one fixture, kind one type, any every fixture that has the attribute. */
export const paletteValue = z
  .strictObject({
    palette: ids.paletteId,
    fixture: ids.fixtureId.nullable(),
    fixtureType: ids.fixtureTypeId.nullable(),
    attribute: z.enum(ATTRIBUTES),
    value,
  })
  .refine((v) => v.fixture === null || v.fixtureType === null, 'a value serves a fixture or a type, not both')
export const cueList = z.strictObject({
  number: entryNumber,
  name,
  intensityRule: z.enum(['highest', 'latest']),
  onStage: ids.cueId.nullable(),
})
export const cue = z.strictObject({
  list: ids.cueListId,
  number: entryNumber,
  name: z.string().trim().max(120),
  note: z.string().max(500),
  rise: seconds,
  fall: seconds,
  move: seconds.nullable(),
  travel: z.enum(['straight', 'angle']),
})
export const cueValue = z.strictObject({
  cue: ids.cueId,
  fixture: ids.fixtureId,
  attribute: z.enum(ATTRIBUTES),
  value,
})
export const handValue = z.strictObject({
  person: ids.personId,
  fixture: ids.fixtureId,
  attribute: z.enum(ATTRIBUTES),
  value,
})

export const ENTITY_SCHEMAS = {
  show: showRecord,
  person,
  fixtureType,
  venue,
  hang,
  hangPlace,
  fixture,
  fixturePlace,
  setPiece,
  setPiecePlace,
  target,
  targetPlace,
  group,
  groupMember,
  palette,
  paletteValue,
  cueList,
  cue,
  cueValue,
  handValue,
} as const

export type Kind = keyof typeof ENTITY_SCHEMAS
export type EntityOf = { readonly [K in Kind]: Readonly<z.infer<(typeof ENTITY_SCHEMAS)[K]>> }

export const KINDS: readonly Kind[] = [
  'show',
  'person',
  'fixtureType',
  'venue',
  'hang',
  'hangPlace',
  'fixture',
  'fixturePlace',
  'setPiece',
  'setPiecePlace',
  'target',
  'targetPlace',
  'group',
  'groupMember',
  'palette',
  'paletteValue',
  'cueList',
  'cue',
  'cueValue',
  'handValue',
]

/** Kinds that are one register as a whole: their parts mean nothing alone. */
export const WHOLE_KINDS = ['groupMember', 'paletteValue', 'cueValue', 'handValue'] as const satisfies readonly Kind[]
export type WholeKind = (typeof WHOLE_KINDS)[number]
export type RecordKind = Exclude<Kind, WholeKind>

export function isWholeKind(kind: Kind): kind is WholeKind {
  return WHOLE_KINDS.some((whole) => whole === kind)
}

export type FixtureType = EntityOf['fixtureType']
export type Fixture = EntityOf['fixture']
export type Venue = EntityOf['venue']
export type Palette = EntityOf['palette']
export type PaletteValue = EntityOf['paletteValue']
export type Cue = EntityOf['cue']
export type CueValue = EntityOf['cueValue']
export type HandValue = EntityOf['handValue']
export type Target = EntityOf['target']
export type Solid = EntityOf['setPiece']['solids'][number]
