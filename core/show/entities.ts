/**
 * Every kind of thing a show is made of. Show-wide things and their place in each venue are
 * apart, so that the same palettes and cues play in every venue.
 */
import type { z } from 'zod'
import * as cues from './entities/cues'
import * as palettes from './entities/palettes'
import * as people from './entities/people'
import * as rig from './entities/rig'
import * as stage from './entities/stage'

export * from './entities/cues'
export * from './entities/palettes'
export * from './entities/people'
export * from './entities/rig'
export * from './entities/stage'
export { entryNumber } from './entities/parts'

export const ENTITY_SCHEMAS = {
  show: stage.showRecord,
  person: people.person,
  fixtureType: rig.fixtureType,
  fixtureMode: rig.fixtureMode,
  venue: stage.venue,
  hang: rig.hang,
  hangPlace: rig.hangPlace,
  fixture: rig.fixture,
  fixturePlace: rig.fixturePlace,
  layer: stage.layer,
  setPiece: stage.setPiece,
  setPiecePlace: stage.setPiecePlace,
  target: stage.target,
  targetPlace: stage.targetPlace,
  group: palettes.group,
  groupMember: palettes.groupMember,
  palette: palettes.palette,
  paletteValue: palettes.paletteValue,
  recordedFixture: palettes.recordedFixture,
  paletteSpread: palettes.paletteSpread,
  shelfMask: palettes.shelfMask,
  cueList: cues.cueList,
  cue: cues.cue,
  cueValue: cues.cueValue,
  cueTime: cues.cueTime,
  cueRun: cues.cueRun,
  handValue: people.handValue,
  highlighted: people.highlighted,
  workingSet: palettes.workingSet,
  workingSetMember: palettes.workingSetMember,
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
  'recordedFixture',
  'paletteSpread',
  'shelfMask',
  'cueList',
  'cue',
  'cueValue',
  'cueTime',
  'cueRun',
  'handValue',
  'highlighted',
  'workingSet',
  'workingSetMember',
]

/** Kinds that are one register as a whole: their parts mean nothing alone. */
export const WHOLE_KINDS = [
  'groupMember',
  'paletteValue',
  'recordedFixture',
  'paletteSpread',
  'cueValue',
  'cueTime',
  'cueRun',
  'handValue',
  'highlighted',
  'workingSetMember',
] as const satisfies readonly Kind[]
export type WholeKind = (typeof WHOLE_KINDS)[number]
export type RecordKind = Exclude<Kind, WholeKind>

const namesIn = (kind: Kind) => Object.keys(ENTITY_SCHEMAS[kind].shape)
const FIELDS: ReadonlyMap<Kind, readonly string[]> = new Map(KINDS.map((kind) => [kind, namesIn(kind)]))

const WHOLE: ReadonlySet<Kind> = new Set(WHOLE_KINDS)

export function isWholeKind(kind: Kind): kind is WholeKind {
  return WHOLE.has(kind)
}

/** The fields a record of a kind has. */
export function fieldsOf(kind: Kind): readonly string[] {
  return FIELDS.get(kind) ?? []
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
export type CueList = EntityOf['cueList']
export type CueTime = EntityOf['cueTime']
export type CueRun = EntityOf['cueRun']
export type CueValue = EntityOf['cueValue']
export type HandValue = EntityOf['handValue']
export type Target = EntityOf['target']
export type TargetForm = Target['form']
export type Solid = EntityOf['setPiece']['solids'][number]
