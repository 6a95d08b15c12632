/**
 * Every kind of record in a show, declared once, in the order they are written: what it is, where it
 * is kept, what it points at and what becomes of it when that goes, what may stand only once. Change
 * sets, cascades, soundness, back-ups, comparison and the database all read this list.
 */
import type { z } from 'zod'
import {
  cellId,
  cueTimeId,
  darkRuleId,
  cueValueId,
  handValueId,
  memberId,
  paletteValueId,
  passCheckId,
  passStepId,
  placeId,
  recordedFixtureId,
  touchUpId,
} from './compositeIds'
import * as cues from './entities/cues'
import * as keptFiles from './entities/keptFiles'
import * as outputs from './entities/outputs'
import * as outside from './entities/outside'
import * as palettes from './entities/palettes'
import * as passes from './entities/passes'
import * as people from './entities/people'
import * as prints from './entities/prints'
import * as rig from './entities/rig'
import * as stage from './entities/stage'
import * as survey from './entities/survey'
import { CONTROL_LINE } from './ids'
import { goesWith, holds, kind, mayPointAt, type KindDeclaration, type WhenGone } from './kindDeclaration'

const VALUE = [
  { to: 'palette', whenGone: 'turns loose' },
  { to: 'target', whenGone: 'turns loose' },
] as const

const DECLARED = {
  show: kind(stage.showRecord, {
    words: ['show', 'shows'],
    table: 'show_record',
    register: 'fields',
    references: { venue: holds('venue'), rest: mayPointAt('palette'), highlight: mayPointAt('palette') },
  }),
  person: kind(people.person, {
    words: ['person', 'people'],
    table: 'person',
    register: 'fields',
    concerns: 'people',
    references: { editing: mayPointAt('palette'), checking: mayPointAt('palette'), only: mayPointAt('fixture') },
  }),
  fixtureType: kind(rig.fixtureType, {
    words: ['fixture type', 'fixture types'],
    table: 'fixture_type',
    register: 'fields',
    references: {},
    unique: ['maker', 'name'],
  }),
  fixtureMode: kind(rig.fixtureMode, {
    words: ['mode', 'modes'],
    table: 'fixture_mode',
    register: 'fields',
    references: { type: goesWith('fixtureType') },
    unique: ['type', 'name'],
    partOf: 'type',
  }),
  typeFile: kind(keptFiles.typeFile, {
    words: ['file of a type', 'files of types'],
    table: 'type_file',
    register: 'whole',
    references: { type: goesWith('fixtureType') },
    id: ({ type }) => type,
    partOf: 'type',
  }),
  venue: kind(stage.venue, {
    words: ['venue', 'venues'],
    table: 'venue',
    register: 'fields',
    references: {},
    unique: ['name'],
  }),
  rigFile: kind(keptFiles.rigFile, {
    words: ['rig file', 'rig files'],
    table: 'rig_file',
    register: 'whole',
    references: { venue: goesWith('venue') },
  }),
  underlay: kind(keptFiles.underlay, {
    words: ['underlay', 'underlays'],
    table: 'underlay',
    register: 'fields',
    references: { venue: goesWith('venue') },
    unique: ['venue', 'name'],
  }),
  hang: kind(rig.hang, {
    words: ['hang', 'hangs'],
    table: 'hang',
    register: 'fields',
    references: {},
    unique: ['name'],
  }),
  hangPlace: kind(rig.hangPlace, {
    words: ['place of a hang', 'places of hangs'],
    table: 'hang_place',
    register: 'fields',
    references: { venue: goesWith('venue'), hang: goesWith('hang') },
    id: ({ venue, hang }) => placeId(venue, hang),
    partOf: 'hang',
  }),
  fixture: kind(rig.fixture, {
    words: ['fixture', 'fixtures'],
    table: 'fixture',
    register: 'fields',
    references: { type: mayPointAt('fixtureType'), mode: mayPointAt('fixtureMode'), bar: goesWith('fixture') },
    unique: ['cell', 'number'],
    id: ({ bar, cell }) => (bar === null || cell === null ? null : cellId(bar, cell)),
  }),
  fixturePlace: kind(rig.fixturePlace, {
    words: ['place of a fixture', 'places of fixtures'],
    table: 'fixture_place',
    register: 'fields',
    references: { venue: goesWith('venue'), fixture: goesWith('fixture'), hang: holds('hang') },
    id: ({ venue, fixture }) => placeId(venue, fixture),
    partOf: 'fixture',
  }),
  substitute: kind(rig.substitute, {
    words: ['substitute', 'substitutes'],
    table: 'substitute',
    register: 'whole',
    references: { venue: goesWith('venue'), fixture: goesWith('fixture'), by: goesWith('fixture') },
    unique: ['venue', 'by'],
    id: ({ venue, fixture }) => placeId(venue, fixture),
    partOf: 'fixture',
  }),
  layer: kind(stage.layer, {
    words: ['layer', 'layers'],
    table: 'layer',
    register: 'fields',
    references: {},
    unique: ['name'],
  }),
  setPiece: kind(stage.setPiece, {
    words: ['set piece', 'set pieces'],
    table: 'set_piece',
    register: 'fields',
    references: { layer: mayPointAt('layer') },
    unique: ['name'],
  }),
  setPiecePlace: kind(stage.setPiecePlace, {
    words: ['place of a set piece', 'places of set pieces'],
    table: 'set_piece_place',
    register: 'fields',
    references: { venue: goesWith('venue'), setPiece: goesWith('setPiece') },
    id: ({ venue, setPiece }) => placeId(venue, setPiece),
    partOf: 'setPiece',
  }),
  target: kind(stage.target, {
    words: ['target', 'targets'],
    table: 'target',
    register: 'fields',
    references: { setPiece: goesWith('setPiece') },
    unique: ['name'],
  }),
  targetPlace: kind(stage.targetPlace, {
    words: ['place of a target', 'places of targets'],
    table: 'target_place',
    register: 'fields',
    references: { venue: goesWith('venue'), target: goesWith('target') },
    id: ({ venue, target }) => placeId(venue, target),
    partOf: 'target',
  }),
  group: kind(palettes.group, {
    words: ['group', 'groups'],
    table: 'group',
    register: 'fields',
    references: {},
    unique: ['number'],
  }),
  groupMember: kind(palettes.groupMember, {
    words: ['member of a group', 'members of groups'],
    table: 'group_member',
    register: 'whole',
    references: { group: goesWith('group'), fixture: goesWith('fixture') },
    id: ({ group, fixture }) => memberId(group, fixture),
    partOf: 'group',
  }),
  palette: kind(palettes.palette, {
    words: ['palette', 'palettes'],
    table: 'palette',
    register: 'fields',
    references: {},
    unique: ['number'],
  }),
  paletteValue: kind(palettes.paletteValue, {
    words: ['value of a palette', 'values of palettes'],
    table: 'palette_value',
    register: 'whole',
    references: {
      palette: goesWith('palette'),
      fixture: goesWith('fixture'),
      fixtureType: goesWith('fixtureType'),
    },
    inValue: VALUE,
    id: ({ palette, fixture, fixtureType, attribute }) =>
      paletteValueId(palette, attribute, fixture ? { own: fixture } : fixtureType ? { kind: fixtureType } : 'any'),
    partOf: 'palette',
  }),
  touchUp: kind(palettes.touchUp, {
    words: ['touch-up', 'touch-ups'],
    table: 'touch_up',
    register: 'whole',
    references: {
      venue: goesWith('venue'),
      palette: goesWith('palette'),
      fixture: goesWith('fixture'),
      by: mayPointAt('person'),
    },
    id: ({ venue, palette, fixture }) => touchUpId(venue, palette, fixture),
    partOf: 'palette',
  }),
  pass: kind(passes.pass, {
    words: ['pass', 'passes'],
    table: 'pass',
    register: 'fields',
    concerns: 'moment',
    references: { venue: goesWith('venue') },
    id: ({ venue }) => venue,
  }),
  passStep: kind(passes.passStep, {
    words: ['palette of a pass', 'palettes of passes'],
    table: 'pass_step',
    register: 'fields',
    concerns: 'moment',
    references: { pass: goesWith('pass'), palette: goesWith('palette') },
    id: ({ pass, palette }) => passStepId(pass, palette),
    partOf: 'pass',
  }),
  passCheck: kind(passes.passCheck, {
    words: ['check of a pass', 'checks of passes'],
    table: 'pass_check',
    register: 'whole',
    concerns: 'moment',
    references: {
      pass: goesWith('pass'),
      palette: goesWith('palette'),
      fixture: goesWith('fixture'),
      by: mayPointAt('person'),
    },
    id: ({ pass, palette, fixture }) => passCheckId(pass, palette, fixture),
    partOf: 'pass',
  }),
  surveyed: kind(survey.surveyed, {
    words: ['surveyed target', 'surveyed targets'],
    table: 'surveyed',
    register: 'whole',
    references: { venue: goesWith('venue'), target: goesWith('target') },
    id: ({ venue, target }) => placeId(venue, target),
    partOf: 'target',
  }),
  sighting: kind(survey.sighting, {
    words: ['sighting', 'sightings'],
    table: 'sighting',
    register: 'fields',
    references: {
      venue: goesWith('venue'),
      fixture: goesWith('fixture'),
      target: goesWith('target'),
      by: mayPointAt('person'),
    },
    partOf: 'fixture',
  }),
  hangCorrection: kind(survey.hangCorrection, {
    words: ['correction of a hang', 'corrections of hangs'],
    table: 'hang_correction',
    register: 'whole',
    references: { venue: goesWith('venue'), hang: goesWith('hang') },
    id: ({ venue, hang }) => placeId(venue, hang),
    partOf: 'hang',
  }),
  fixtureCorrection: kind(survey.fixtureCorrection, {
    words: ['correction of a fixture', 'corrections of fixtures'],
    table: 'fixture_correction',
    register: 'whole',
    references: { venue: goesWith('venue'), fixture: goesWith('fixture') },
    id: ({ venue, fixture }) => placeId(venue, fixture),
    partOf: 'fixture',
  }),
  output: kind(outputs.output, {
    words: ['output', 'outputs'],
    table: 'output',
    register: 'fields',
    concerns: 'moment',
    references: {},
    unique: ['name'],
  }),
  tracking: kind(outside.tracking, {
    words: ['line of trackers', 'lines of trackers'],
    table: 'tracking',
    register: 'fields',
    concerns: 'moment',
    references: { venue: goesWith('venue') },
    id: ({ venue }) => venue,
    partOf: 'venue',
  }),
  trackedTarget: kind(outside.trackedTarget, {
    words: ['target that follows a tracker', 'targets that follow trackers'],
    table: 'tracked_target',
    register: 'fields',
    references: { target: goesWith('target') },
    id: ({ target }) => target,
    partOf: 'target',
  }),
  controlLine: kind(outside.controlLine, {
    words: ['line of controls', 'lines of controls'],
    table: 'control_line',
    register: 'fields',
    concerns: 'moment',
    references: { person: mayPointAt('person') },
    id: () => CONTROL_LINE,
  }),
  recordedFixture: kind(palettes.recordedFixture, {
    words: ['fixture a palette was recorded with', 'fixtures palettes were recorded with'],
    table: 'recorded_fixture',
    register: 'whole',
    references: { palette: goesWith('palette'), fixture: goesWith('fixture') },
    id: ({ palette, fixture }) => recordedFixtureId(palette, fixture),
    partOf: 'palette',
  }),
  paletteSpread: kind(palettes.paletteSpread, {
    words: ['spread', 'spreads'],
    table: 'palette_spread',
    register: 'whole',
    references: { palette: goesWith('palette'), group: goesWith('group'), target: goesWith('target') },
    id: ({ palette }) => palette,
    partOf: 'palette',
  }),
  print: kind(prints.print, {
    words: ['print', 'prints'],
    table: 'print',
    register: 'whole',
    references: {},
    id: ({ paper }) => paper,
  }),
  shelfMask: kind(palettes.shelfMask, {
    words: ['mask of a shelf', 'masks of shelves'],
    table: 'shelf_mask',
    register: 'fields',
    references: {},
  }),
  cueList: kind(cues.cueList, {
    words: ['cue list', 'cue lists'],
    table: 'cue_list',
    register: 'fields',
    references: { onStage: mayPointAt('cue') },
    unique: ['number'],
  }),
  cue: kind(cues.cue, {
    words: ['cue', 'cues'],
    table: 'cue',
    register: 'fields',
    references: { list: goesWith('cueList') },
    unique: ['list', 'number'],
  }),
  cueValue: kind(cues.cueValue, {
    words: ['value of a cue', 'values of cues'],
    table: 'cue_value',
    register: 'whole',
    references: { cue: goesWith('cue'), fixture: goesWith('fixture'), source: mayPointAt('palette') },
    inValue: VALUE,
    id: ({ cue, fixture, attribute }) => cueValueId(cue, fixture, attribute),
    partOf: 'cue',
  }),
  cueTime: kind(cues.cueTime, {
    words: ['time of a cue', 'times of cues'],
    table: 'cue_time',
    register: 'whole',
    references: { cue: goesWith('cue'), fixture: goesWith('fixture') },
    id: ({ cue, fixture, family }) => cueTimeId(cue, fixture, family),
    partOf: 'cue',
  }),
  darkRule: kind(cues.darkRule, {
    words: ['rule for dark moves', 'rules for dark moves'],
    table: 'dark_rule',
    register: 'whole',
    references: {
      list: goesWith('cueList'),
      cue: goesWith('cue'),
      fixture: goesWith('fixture'),
      inCue: goesWith('cue'),
    },
    id: ({ list, cue, fixture, family }) => darkRuleId(list, cue, fixture, family),
  }),
  acceptedSweep: kind(cues.acceptedSweep, {
    words: ['accepted sweep', 'accepted sweeps'],
    table: 'accepted_sweep',
    register: 'whole',
    references: { venue: goesWith('venue'), cue: goesWith('cue'), fixture: goesWith('fixture') },
    unique: ['venue', 'cue', 'fixture', 'zone'],
    partOf: 'cue',
  }),
  cueNote: kind(passes.cueNote, {
    words: ['note on a cue', 'notes on cues'],
    table: 'cue_note',
    register: 'fields',
    references: { venue: goesWith('venue'), cue: goesWith('cue'), by: mayPointAt('person') },
    partOf: 'cue',
  }),
  cueRun: kind(cues.cueRun, {
    words: ['running cue', 'running cues'],
    table: 'cue_run',
    register: 'whole',
    concerns: 'moment',
    references: { list: goesWith('cueList'), cue: goesWith('cue'), from: goesWith('cue') },
    partOf: 'list',
  }),
  controlBinding: kind(outside.controlBinding, {
    words: ['control', 'controls'],
    table: 'control_binding',
    register: 'whole',
    concerns: 'moment',
    references: { list: goesWith('cueList'), output: goesWith('output'), palette: goesWith('palette') },
    unique: ['address'],
  }),
  handValue: kind(people.handValue, {
    words: ['value in hand', 'values in hand'],
    table: 'hand_value',
    register: 'whole',
    concerns: 'people',
    references: { person: goesWith('person'), fixture: goesWith('fixture'), source: mayPointAt('palette') },
    inValue: VALUE,
    id: ({ person, fixture, attribute }) => handValueId(person, fixture, attribute),
    partOf: 'person',
  }),
  highlighted: kind(people.highlighted, {
    words: ['highlighted fixture', 'highlighted fixtures'],
    table: 'highlighted',
    register: 'whole',
    concerns: 'people',
    references: { person: goesWith('person'), fixture: goesWith('fixture') },
    id: ({ person, fixture }) => memberId(person, fixture),
    partOf: 'person',
  }),
  workingSet: kind(palettes.workingSet, {
    words: ['working set', 'working sets'],
    table: 'working_set',
    register: 'fields',
    references: {},
    unique: ['name'],
  }),
  swatch: kind(palettes.swatch, {
    words: ['swatch', 'swatches'],
    table: 'swatch',
    register: 'whole',
    references: {},
  }),
  workingSetMember: kind(palettes.workingSetMember, {
    words: ['member of a working set', 'members of working sets'],
    table: 'working_set_member',
    register: 'whole',
    references: { workingSet: goesWith('workingSet'), fixture: goesWith('fixture') },
    id: ({ workingSet, fixture }) => memberId(workingSet, fixture),
    partOf: 'workingSet',
  }),
}

export type Kind = keyof typeof DECLARED
export type EntityOf = { readonly [K in Kind]: Readonly<z.infer<(typeof DECLARED)[K]['schema']>> }
export type WholeKind = { [K in Kind]: (typeof DECLARED)[K]['register'] extends 'whole' ? K : never }[Kind]
export type RecordKind = Exclude<Kind, WholeKind>

/** A field that points at things of a kind. */
export interface Reference {
  readonly field: string
  readonly to: Kind
  readonly whenGone: WhenGone
}

interface Declaration extends Omit<
  KindDeclaration<object, z.ZodObject>,
  'references' | 'inValue' | 'id' | 'unique' | 'partOf'
> {
  readonly references: Readonly<Record<string, Omit<Reference, 'field'>>>
  readonly inValue?: readonly Omit<Reference, 'field'>[]
  readonly unique?: readonly string[]
  readonly partOf?: string
}
const DECLARATIONS: { readonly [K in Kind]: Declaration } = DECLARED

const isKind = (name: string): name is Kind => Object.hasOwn(DECLARED, name)

/** All kinds, in the order they are written. */
export const KINDS: readonly Kind[] = Object.keys(DECLARED).filter(isKind)

/** What is said of a kind once: its words, table, uniqueness, whose part it is. */
export function declarationOf(kind: Kind): Declaration {
  return DECLARATIONS[kind]
}

const SCHEMAS: { readonly [K in Kind]: { readonly schema: z.ZodType<EntityOf[K]> } } = DECLARED

/** What a record of a kind must be. */
export function schemaOf<K extends Kind>(kind: K): z.ZodType<EntityOf[K]> {
  return SCHEMAS[kind].schema
}

/** The fields of a kind, each with what it takes. */
export function fieldSchemas(kind: Kind): Readonly<Record<string, z.core.$ZodType>> {
  return DECLARATIONS[kind].schema.shape
}

const FIELDS: ReadonlyMap<Kind, readonly string[]> = new Map(
  KINDS.map((kind) => [kind, Object.keys(fieldSchemas(kind))]),
)

/** The fields a record of a kind has. */
export function fieldsOf(kind: Kind): readonly string[] {
  return FIELDS.get(kind) ?? []
}

/** Whether a kind is one register as a whole: its parts mean nothing alone. */
export function isWholeKind(kind: Kind): kind is WholeKind {
  return DECLARATIONS[kind].register === 'whole'
}

const REFERENCES: ReadonlyMap<Kind, readonly Reference[]> = new Map(
  KINDS.map((kind) => [
    kind,
    Object.entries(DECLARATIONS[kind].references).map(([field, reference]) => ({ field, ...reference })),
  ]),
)

/** The fields of a kind that point at others; what its value points at is apart. */
export function referencesOf(kind: Kind): readonly Reference[] {
  return REFERENCES.get(kind) ?? []
}

const MAKES_ID: {
  readonly [K in Kind]: { readonly schema: object; readonly id?: (entity: EntityOf[K]) => string | null }
} = DECLARED

/** The id that a thing's parts make; null where its id is free. */
export function idMadeOf<K extends Kind>(kind: K, entity: EntityOf[K]): string | null {
  return MAKES_ID[kind].id?.(entity) ?? null
}

/** Whether an id is the one that a thing's parts make; so for kinds whose ids are free. */
export function hasItsId<K extends Kind>(kind: K, id: string, entity: EntityOf[K]): boolean {
  return (idMadeOf(kind, entity) ?? id) === id
}
