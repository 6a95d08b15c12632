/**
 * Every kind of thing a show is made of. Show-wide things and their place in each venue are
 * apart, so that the same palettes and cues play in every venue.
 */
import { z } from 'zod'
import { ATTRIBUTES, CHANNEL_ROLES, FAMILIES, SHELVES } from './families'
import * as ids from './ids'
import { plainPattern } from './patterns'
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
const plainPoint = z.strictObject({ x: metres, y: metres })
const ring = z.array(plainPoint).min(3, 'an outline needs three corners').max(500)
const size = z.number().positive().max(1000)

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
      })
      .refine((row) => row.field > row.beam, 'the field angle must be wider than the beam angle'),
  )
  .min(1, 'a type needs at least one row: its beam angle, field angle and candela')
  .max(40)
  .refine(
    (rows) => rows.every((row, i) => row.beam > (rows[i - 1]?.beam ?? 0)),
    'the beam angles must rise from row to row',
  )

export const GOBO_PATTERNS = ['open', 'dots', 'breakup', 'bars', 'ring', 'window', 'ripples', 'star', 'net'] as const
const slot = z.strictObject({
  name,
  /** What a colour slot looks like, as #rrggbb; null for a gobo. */
  colour: z
    .string()
    .regex(/^#[0-9a-f]{6}$/, 'a colour reads #rrggbb')
    .nullable(),
  pattern: z.enum(GOBO_PATTERNS).nullable(),
})
const wheel = z.strictObject({ kind: z.enum(['colour', 'gobo']), name, slots: z.array(slot).min(2).max(40) })

/**
 * One channel of a mode. `coarse` and `fine` count from 1; `from` and `to` are what its lowest and
 * highest value mean (degrees for pan, tilt and zoom, a slot for wheels, else 0 to 1), `rest` what
 * it is worth when nothing sets it.
 */
export const channel = z.strictObject({
  name,
  does: z.enum(CHANNEL_ROLES),
  coarse: z.number().int().min(1).max(512),
  fine: z.number().int().min(1).max(512).nullable(),
  from: z.number().min(-1e6).max(1e6),
  to: z.number().min(-1e6).max(1e6),
  rest: z.number().min(-1e6).max(1e6),
})

/** A raised part of the stage. `height` is that of its lowest edge; a rake climbs `percent` towards `bearing` (90 is upstage). */
const level = z.strictObject({
  name,
  outline: ring,
  height: metres,
  rake: z.strictObject({ percent: z.number().min(0).max(100), bearing: degrees }),
})

/** `rest` is the palette everything comes to when nothing else sets it, `highlight` how what is brought out is seen. */
export const showRecord = z.strictObject({
  name,
  venue: ids.venueId,
  rest: ids.paletteId.nullable(),
  highlight: ids.paletteId.nullable(),
})
const attributes = z.array(z.enum(ATTRIBUTES))
/** As the order runs, or so that the beams do not cross, or so that they do. */
export const FAN_LAYS = ['in order', 'parallel', 'crossing'] as const
export const HIGHLIGHTS = ['off', 'brighter', 'others dimmed'] as const
/**
 * `take` are the families Record and Update take and `heldBack` the attributes of them they leave;
 * `takeOnce` when that counts for the next recording only. `editing` is the palette that is open in
 * the hand. `neutral` are the families that going neutral sets; `neutralOnce` when they count for the next
 * time only. `blind` keeps the hand off the stage. `highlight` is how the fixtures worked on are
 * brought out to be seen: on stage, never in the hand.
 */
export const person = z.strictObject({
  name,
  take: families,
  heldBack: attributes,
  takeOnce: z.boolean(),
  editing: ids.paletteId.nullable(),
  neutral: families,
  neutralOnce: z.boolean(),
  blind: z.boolean(),
  highlight: z.enum(HIGHLIGHTS),
})
/** A fixture a person brings out to be seen. */
export const highlighted = z.strictObject({ person: ids.personId, fixture: ids.fixtureId })
export const fixtureType = z.strictObject({
  maker: name,
  name,
  form: z.enum(['profile', 'wash', 'beam']),
  pan: axis,
  tilt: axis,
  pivotDrop: metres,
  lens: z.strictObject({ across: metres, normal: metres, forward: metres }),
  optics,
  wheels: z.array(wheel).max(8),
  has: z.array(z.enum(ATTRIBUTES)),
})
/** One way a type listens: what stands on which channel. */
export const fixtureMode = z.strictObject({
  type: ids.fixtureTypeId,
  name,
  order: z.number().int().min(1).max(1000),
  channels: z.array(channel).min(1, 'a mode needs at least one channel').max(512),
})
export const venue = z.strictObject({
  name,
  outline: ring,
  opening: z.strictObject({ width: size, height: size, depth: size }),
  keepClear: z.array(z.strictObject({ name, outline: ring })).max(100),
  levels: z.array(level).max(100),
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
/** Members of a group spread over a line or ring in their order, kept as a rule; its id is the palette. */
export const paletteSpread = z.strictObject({
  palette: ids.paletteId,
  group: ids.groupId,
  target: ids.targetId,
  lay: z.enum(FAN_LAYS),
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
  /** The palette it was before it was changed by hand: what Update would write it to. */
  source: ids.paletteId.nullable(),
})

export const ENTITY_SCHEMAS = {
  show: showRecord,
  person,
  fixtureType,
  fixtureMode,
  venue,
  hang,
  hangPlace,
  fixture,
  fixturePlace,
  layer,
  setPiece,
  setPiecePlace,
  target,
  targetPlace,
  group,
  groupMember,
  palette,
  paletteValue,
  paletteSpread,
  shelfMask,
  cueList,
  cue,
  cueValue,
  handValue,
  highlighted,
  workingSet,
  workingSetMember,
} as const

export type Kind = keyof typeof ENTITY_SCHEMAS
export type EntityOf = { readonly [K in Kind]: Readonly<z.infer<(typeof ENTITY_SCHEMAS)[K]>> }

export const KINDS: readonly Kind[] = [
  'show',
  'person',
  'fixtureType',
  'fixtureMode',
  'venue',
  'hang',
  'hangPlace',
  'fixture',
  'fixturePlace',
  'layer',
  'setPiece',
  'setPiecePlace',
  'target',
  'targetPlace',
  'group',
  'groupMember',
  'palette',
  'paletteValue',
  'paletteSpread',
  'shelfMask',
  'cueList',
  'cue',
  'cueValue',
  'handValue',
  'highlighted',
  'workingSet',
  'workingSetMember',
]

/** Kinds that are one register as a whole: their parts mean nothing alone. */
export const WHOLE_KINDS = [
  'groupMember',
  'paletteValue',
  'paletteSpread',
  'cueValue',
  'handValue',
  'highlighted',
  'workingSetMember',
] as const satisfies readonly Kind[]
export type WholeKind = (typeof WHOLE_KINDS)[number]
export type RecordKind = Exclude<Kind, WholeKind>

export function isWholeKind(kind: Kind): kind is WholeKind {
  return WHOLE_KINDS.some((whole) => whole === kind)
}

export type FixtureType = EntityOf['fixtureType']
export type FixtureMode = EntityOf['fixtureMode']
export type Channel = FixtureMode['channels'][number]
export type Optics = FixtureType['optics']
export type Wheel = FixtureType['wheels'][number]
export type Fixture = EntityOf['fixture']
export type Venue = EntityOf['venue']
export type Level = Venue['levels'][number]
export type Palette = EntityOf['palette']
export type PaletteValue = EntityOf['paletteValue']
export type Cue = EntityOf['cue']
export type CueValue = EntityOf['cueValue']
export type HandValue = EntityOf['handValue']
export type Target = EntityOf['target']
export type TargetForm = Target['form']
export type Solid = EntityOf['setPiece']['solids'][number]
