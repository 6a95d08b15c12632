/**
 * Every attribute there is, declared once. A type says which of them it has, and where it differs in
 * range. `standard` is the attribute of DIN SPEC 15800 it goes in and out as, `n` for which of several.
 */
import type { Family } from './families'

/**
 * What its numbers mean: a part of the whole, degrees, degrees or a speed of turning, turns a minute,
 * a second's times, kelvin, a place on a wheel from 0, which is open. `place` is for where a head
 * points, `colour` for what light looks like: their values are no numbers.
 */
export type Unit = 'level' | 'degrees' | 'turn' | 'rpm' | 'hertz' | 'kelvin' | 'slot' | 'place' | 'colour'

/** Between two values: all that lies between, at once as the move begins, or the shorter way round. */
export type Fade = 'runs' | 'snaps' | 'shorter way'

/** What of the light that is seen an attribute is. */
export type SeenAs =
  | 'iris'
  | 'softness'
  | 'gobo'
  | 'gobo turn'
  | 'prism'
  | 'prism place'
  | 'prism turn'
  | 'blade depth'
  | 'blade angle'
  | 'blade first corner'
  | 'blade second corner'
  | 'frame turn'
  | 'strobe'
  | 'temperature'
  | 'tint'
export const BLADE_SIDES = ['top', 'right', 'bottom', 'left'] as const
/** Where a blade comes in, looking with the light while the head is upright. */
export type BladeSide = (typeof BLADE_SIDES)[number]

export interface AttributeKind {
  readonly family: Family
  /** As people say it; `#` is where the number of the second and later ones stands. */
  readonly name: string
  readonly unit: Unit
  readonly fade: Fade
  /** What counts of several lists that ask for it where they may mix: the highest; left out for the latest. */
  readonly mixes?: 'highest'
  /** The range where a type does not say its own, and what it is worth when nothing sets it. */
  readonly min: number
  readonly max: number
  readonly rest: number
  /** What it is worth when made neutral; left out where that is rest. */
  readonly neutral?: number
  /** What it is seen at while brought out; left out where it stays as it is. */
  readonly highlight?: number
  /** Whom a value recorded in a palette usually serves; left out for its own fixture. */
  readonly serves?: 'kind' | 'any'
  /** What it is a part of: they stand together. */
  readonly of?: string
  /** How many of it a type may have; left out for one. */
  readonly most?: number
  /** The wheels it turns, first to first. */
  readonly wheel?: WheelKind
  /** Which part of a picture of the light it is; left out for what no picture shows, or shows by itself. */
  readonly seenAs?: SeenAs
  /** Of a blade. */
  readonly side?: BladeSide
  /** Seconds from one end to the other where a type does not say; left out for what no motor moves. */
  readonly endToEnd?: number
  readonly standard: string
}

export const WHEEL_KINDS = ['colour', 'gobo', 'prism'] as const
export type WheelKind = (typeof WHEEL_KINDS)[number]

const LEVEL = { unit: 'level', fade: 'runs', min: 0, max: 1, rest: 0 } as const
const SLOT = { unit: 'slot', fade: 'snaps', min: 0, max: 0, rest: 0, endToEnd: 1 } as const
const TURN = { unit: 'turn', fade: 'shorter way', min: -180, max: 180, rest: 0, endToEnd: 1.2 } as const
const SPIN = { unit: 'rpm', fade: 'runs', min: -60, max: 60, rest: 0 } as const
const HERTZ = { unit: 'hertz', fade: 'runs', min: 0, max: 20, rest: 0 } as const
/** As fast as it goes. */
const PACE = { ...LEVEL, fade: 'snaps', rest: 1 } as const
const BLADE = { ...LEVEL, family: 'shutters', seenAs: 'blade depth', endToEnd: 0.8 } as const
/** Blades driven by their corners, going round clockwise looking with the light. */
const CORNER = { ...LEVEL, family: 'shutters', endToEnd: 0.8 } as const
const BLADE_ANGLE = {
  unit: 'degrees',
  fade: 'runs',
  min: -30,
  max: 30,
  rest: 0,
  family: 'shutters',
  seenAs: 'blade angle',
  endToEnd: 0.8,
} as const

const DECLARED = {
  intensity: {
    ...LEVEL,
    family: 'intensity',
    name: 'intensity',
    mixes: 'highest',
    neutral: 1,
    highlight: 1,
    standard: 'Dimmer',
  },
  strobe: {
    seenAs: 'strobe',
    serves: 'any',
    ...HERTZ,
    family: 'intensity',
    name: 'strobe',
    fade: 'snaps',
    highlight: 0,
    standard: 'Shutter1Strobe',
  },
  strobePulse: {
    seenAs: 'strobe',
    serves: 'any',
    of: 'strobe',
    ...HERTZ,
    family: 'intensity',
    name: 'pulses',
    fade: 'snaps',
    highlight: 0,
    standard: 'Shutter1StrobePulse',
  },
  strobeRandom: {
    seenAs: 'strobe',
    serves: 'any',
    of: 'strobe',
    ...HERTZ,
    family: 'intensity',
    name: 'random strobe',
    fade: 'snaps',
    highlight: 0,
    standard: 'Shutter1StrobeRandom',
  },
  position: {
    serves: 'any',
    family: 'position',
    name: 'position',
    unit: 'place',
    fade: 'runs',
    min: 0,
    max: 0,
    rest: 0,
    standard: 'Pan, Tilt',
  },
  headPace: { serves: 'any', ...PACE, family: 'position', name: 'head pace', standard: 'PositionMSpeed' },
  zoom: {
    serves: 'kind',
    family: 'beam',
    name: 'zoom',
    unit: 'degrees',
    fade: 'runs',
    min: 0,
    max: 0,
    rest: 0,
    endToEnd: 1,
    standard: 'Zoom',
  },
  edge: {
    serves: 'kind',
    ...LEVEL,
    seenAs: 'softness',
    family: 'beam',
    name: 'edge',
    endToEnd: 1,
    standard: 'Focus1',
  },
  iris: {
    serves: 'kind',
    ...LEVEL,
    seenAs: 'iris',
    family: 'beam',
    name: 'iris',
    rest: 1,
    endToEnd: 0.6,
    standard: 'Iris',
  },
  frost: {
    serves: 'kind',
    ...LEVEL,
    seenAs: 'softness',
    family: 'beam',
    name: 'frost#',
    most: 2,
    endToEnd: 0.6,
    standard: 'Frost(n)',
  },
  prism: {
    serves: 'kind',
    ...SLOT,
    seenAs: 'prism',
    family: 'beam',
    name: 'prism#',
    most: 2,
    wheel: 'prism',
    standard: 'Prism(n)',
  },
  prismPlace: {
    seenAs: 'prism place',
    serves: 'kind',
    of: 'prism',
    ...LEVEL,
    family: 'beam',
    name: 'prism# place',
    most: 2,
    rest: 0.5,
    endToEnd: 0.6,
    standard: 'Prism(n)Macro',
  },
  prismTurn: {
    seenAs: 'prism turn',
    serves: 'kind',
    of: 'prism',
    ...TURN,
    family: 'beam',
    name: 'prism# turn',
    most: 2,
    standard: 'Prism(n)Pos',
  },
  beamPace: { serves: 'any', ...PACE, family: 'beam', name: 'beam pace', standard: 'BeamEffectsMSpeed' },
  colour: {
    serves: 'any',
    family: 'colour',
    name: 'colour',
    unit: 'colour',
    fade: 'runs',
    min: 0,
    max: 0,
    rest: 0,
    endToEnd: 0.6,
    standard: 'CIE_X, CIE_Y, CIE_Brightness',
  },
  temperature: {
    seenAs: 'temperature',
    serves: 'any',
    family: 'colour',
    name: 'temperature',
    unit: 'kelvin',
    fade: 'runs',
    min: 2700,
    max: 6500,
    rest: 6500,
    endToEnd: 0.6,
    standard: 'CTC',
  },
  tint: {
    seenAs: 'tint',
    serves: 'any',
    ...LEVEL,
    family: 'colour',
    name: 'tint',
    min: -1,
    endToEnd: 0.6,
    standard: 'Tint',
  },
  colourWheel: {
    serves: 'kind',
    ...SLOT,
    family: 'colour',
    name: 'colour wheel#',
    most: 3,
    wheel: 'colour',
    standard: 'Color(n)',
  },
  colourSpin: {
    serves: 'kind',
    of: 'colourWheel',
    ...SPIN,
    family: 'colour',
    name: 'colour wheel# spin',
    most: 3,
    standard: 'Color(n)WheelSpin',
  },
  colourPace: { serves: 'any', ...PACE, family: 'colour', name: 'colour pace', standard: 'ColorMixMSpeed' },
  gobo: {
    serves: 'kind',
    ...SLOT,
    seenAs: 'gobo',
    family: 'gobo',
    name: 'gobo#',
    most: 4,
    wheel: 'gobo',
    standard: 'Gobo(n)',
  },
  goboTurn: {
    seenAs: 'gobo turn',
    serves: 'kind',
    of: 'gobo',
    ...TURN,
    family: 'gobo',
    name: 'gobo# turn',
    most: 4,
    standard: 'Gobo(n)Pos',
  },
  goboShake: {
    serves: 'kind',
    of: 'gobo',
    ...HERTZ,
    family: 'gobo',
    name: 'gobo# shake',
    most: 4,
    max: 5,
    standard: 'Gobo(n)SelectShake',
  },
  goboSpin: {
    serves: 'kind',
    of: 'gobo',
    ...SPIN,
    family: 'gobo',
    name: 'gobo wheel# spin',
    most: 4,
    standard: 'Gobo(n)WheelSpin',
  },
  animation: {
    serves: 'kind',
    ...LEVEL,
    family: 'gobo',
    name: 'animation#',
    most: 2,
    endToEnd: 0.8,
    standard: 'AnimationWheel(n)',
  },
  animationTurn: {
    serves: 'kind',
    of: 'animation',
    ...TURN,
    family: 'gobo',
    name: 'animation# turn',
    most: 2,
    standard: 'AnimationWheel(n)Pos',
  },
  goboPace: { serves: 'any', ...PACE, family: 'gobo', name: 'gobo pace', standard: 'GoboMSpeed' },
  shutterTop: { ...BLADE, side: 'top', name: 'top shutter', standard: 'Blade1A' },
  shutterRight: { ...BLADE, side: 'right', name: 'right shutter', standard: 'Blade2A' },
  shutterBottom: { ...BLADE, side: 'bottom', name: 'bottom shutter', standard: 'Blade3A' },
  shutterLeft: { ...BLADE, side: 'left', name: 'left shutter', standard: 'Blade4A' },
  shutterTopAngle: { of: 'shutterTop', ...BLADE_ANGLE, side: 'top', name: 'top shutter angle', standard: 'Blade1Rot' },
  shutterRightAngle: {
    of: 'shutterRight',
    ...BLADE_ANGLE,
    side: 'right',
    name: 'right shutter angle',
    standard: 'Blade2Rot',
  },
  shutterBottomAngle: {
    of: 'shutterBottom',
    ...BLADE_ANGLE,
    side: 'bottom',
    name: 'bottom shutter angle',
    standard: 'Blade3Rot',
  },
  shutterLeftAngle: {
    of: 'shutterLeft',
    ...BLADE_ANGLE,
    side: 'left',
    name: 'left shutter angle',
    standard: 'Blade4Rot',
  },
  shutterTopFirst: {
    ...CORNER,
    seenAs: 'blade first corner',
    side: 'top',
    name: 'top shutter first corner',
    standard: 'Blade1A',
  },
  shutterTopSecond: {
    ...CORNER,
    seenAs: 'blade second corner',
    side: 'top',
    name: 'top shutter second corner',
    standard: 'Blade1B',
  },
  shutterRightFirst: {
    ...CORNER,
    seenAs: 'blade first corner',
    side: 'right',
    name: 'right shutter first corner',
    standard: 'Blade2A',
  },
  shutterRightSecond: {
    ...CORNER,
    seenAs: 'blade second corner',
    side: 'right',
    name: 'right shutter second corner',
    standard: 'Blade2B',
  },
  shutterBottomFirst: {
    ...CORNER,
    seenAs: 'blade first corner',
    side: 'bottom',
    name: 'bottom shutter first corner',
    standard: 'Blade3A',
  },
  shutterBottomSecond: {
    ...CORNER,
    seenAs: 'blade second corner',
    side: 'bottom',
    name: 'bottom shutter second corner',
    standard: 'Blade3B',
  },
  shutterLeftFirst: {
    ...CORNER,
    seenAs: 'blade first corner',
    side: 'left',
    name: 'left shutter first corner',
    standard: 'Blade4A',
  },
  shutterLeftSecond: {
    ...CORNER,
    seenAs: 'blade second corner',
    side: 'left',
    name: 'left shutter second corner',
    standard: 'Blade4B',
  },
  frameTurn: {
    seenAs: 'frame turn',
    family: 'shutters',
    name: 'frame turn',
    unit: 'degrees',
    fade: 'runs',
    min: -90,
    max: 90,
    rest: 0,
    endToEnd: 1,
    standard: 'ShaperRot',
  },
} as const satisfies Readonly<Record<string, AttributeKind>>

export type AttributeKey = keyof typeof DECLARED

/**
 * What every light has, however it is made, and pictures and mathematics are about: where it points,
 * how bright and how wide it is, its colour, and the glass of its first colour wheel.
 */
export const LEADING = {
  place: 'position',
  light: 'intensity',
  width: 'zoom',
  colour: 'colour',
  glass: 'colourWheel',
} as const satisfies Readonly<Record<string, AttributeKey>>

/** The kinds in their order, by the id of the first of each. */
export const CATALOGUE: Readonly<Record<AttributeKey, AttributeKind>> = DECLARED

type Several = { [K in AttributeKey]: (typeof DECLARED)[K] extends { most: number } ? K : never }[AttributeKey]
/** The attributes of the catalogue: the first of a kind by its key, later ones with their number after it. */
export type ListedAttribute = AttributeKey | `${Several}${2 | 3 | 4}`
