/** The palettes of The Salt Lantern. Fixtures by number, targets by name. */
import type { EntityOf } from '#core/show/kinds'
import type { NumberAttribute } from '#core/attributes/attribute'

type Colour = EntityOf['palette']['colour']

/** An aim at a target, spread along it where `along` is given; `pool` in metres or `zoom` in degrees. */
export interface AimedPalette {
  readonly number: number
  readonly name: string
  readonly colour: Colour
  readonly shelf: 'position' | 'focus'
  readonly fixtures: string
  readonly target: string
  readonly along?: { readonly from: number; readonly to: number }
  readonly pool?: number
  readonly edge?: number
}

export const AIMED: readonly AimedPalette[] = [
  {
    number: 1,
    name: 'Dory bow',
    colour: 'brass',
    shelf: 'focus',
    fixtures: '12-17',
    target: 'Dory bow',
    pool: 1.8,
    edge: 0.6,
  },
  {
    number: 2,
    name: 'Dory stern',
    colour: 'amber',
    shelf: 'focus',
    fixtures: '12-17',
    target: 'Dory stern',
    pool: 1.8,
    edge: 0.6,
  },
  {
    number: 3,
    name: 'Lantern gallery',
    colour: 'shoal',
    shelf: 'focus',
    fixtures: '31-38',
    target: 'Lantern gallery',
    pool: 1.2,
  },
  { number: 4, name: 'Jetty end', colour: 'kelp', shelf: 'focus', fixtures: '11-18', target: 'Jetty end', pool: 1.6 },
  {
    number: 5,
    name: 'Net loft door',
    colour: 'rose',
    shelf: 'focus',
    fixtures: '11-16',
    target: 'Net loft door',
    pool: 1.9,
  },
  {
    number: 6,
    name: 'Shore line',
    colour: 'heather',
    shelf: 'focus',
    fixtures: '11-18',
    target: 'Shore line',
    along: { from: 0, to: 1 },
    pool: 2.2,
  },
  {
    number: 7,
    name: 'Tide wall wash',
    colour: 'coral',
    shelf: 'focus',
    fixtures: '21-26',
    target: 'Tide wall',
    along: { from: 0, to: 1 },
    pool: 3,
  },
  {
    number: 8,
    name: 'Keeper at the rail',
    colour: 'sail',
    shelf: 'focus',
    fixtures: '31-34',
    target: 'Keeper’s rail',
    pool: 1,
  },
  {
    number: 9,
    name: 'House front',
    colour: 'brass',
    shelf: 'focus',
    fixtures: '31-38',
    target: 'House front',
    pool: 2,
  },
  { number: 21, name: 'Bridge to dory', colour: 'brass', shelf: 'position', fixtures: '1-6', target: 'Dory bow' },
  { number: 22, name: 'Bridge to jetty', colour: 'kelp', shelf: 'position', fixtures: '1-6', target: 'Jetty root' },
  {
    number: 23,
    name: 'Bridge to lighthouse',
    colour: 'shoal',
    shelf: 'position',
    fixtures: '1-6',
    target: 'Lighthouse door',
  },
  {
    number: 24,
    name: 'Bridge along the shore',
    colour: 'heather',
    shelf: 'position',
    fixtures: '1-6',
    target: 'Shore line',
    along: { from: 0, to: 1 },
  },
  {
    number: 25,
    name: 'Lamplighter’s round',
    colour: 'rose',
    shelf: 'position',
    fixtures: '21-26',
    target: 'Shore mark',
  },
  {
    number: 26,
    name: 'Moon path',
    colour: 'sail',
    shelf: 'position',
    fixtures: '31-38',
    target: 'Moon path',
    along: { from: 0, to: 1 },
  },
  {
    number: 27,
    name: 'Ring around the dory',
    colour: 'amber',
    shelf: 'position',
    fixtures: '31-38',
    target: 'Around the dory',
    along: { from: 0, to: 0.875 },
  },
  { number: 28, name: 'Booms to dory', colour: 'brass', shelf: 'position', fixtures: '41-44', target: 'Dory stern' },
  { number: 29, name: 'Booms to jetty', colour: 'kelp', shelf: 'position', fixtures: '41-44', target: 'Jetty end' },
]

/** Raw angles, which cannot follow the stage. Pan and tilt from the first fixture to the last. */
export interface AngledPalette {
  readonly number: number
  readonly name: string
  readonly colour: Colour
  readonly fixtures: string
  readonly pan: readonly [number, number]
  readonly tilt: readonly [number, number]
}

export const ANGLED: readonly AngledPalette[] = [
  { number: 30, name: 'Storm crossing', colour: 'coral', fixtures: '31-38', pan: [-140, 140], tilt: [38, 38] },
  { number: 31, name: 'Floor fan', colour: 'heather', fixtures: '51-54', pan: [-40, 40], tilt: [-28, -28] },
]

/** Plain levels by attribute, or what the light is to look like, as #rrggbb. */
export interface LevelPalette {
  readonly number: number
  readonly name: string
  readonly colour: Colour
  readonly shelf: 'intensity' | 'beam' | 'colour' | 'gobo' | 'shutters'
  readonly fixtures: string
  readonly levels?: Partial<Record<NumberAttribute, number>>
  readonly look?: string
  /** Looks of some of its fixtures, each its own. */
  readonly looks?: readonly (readonly [fixtures: string, look: string])[]
}

const MIXING = '1-6, 11-18, 21-26, 41-44'
/** All of it, with its cells. */
const STRAND = '71'

export const LEVELS: readonly LevelPalette[] = [
  { number: 41, name: 'Full', colour: 'brass', shelf: 'intensity', fixtures: '1-66', levels: { intensity: 1 } },
  { number: 42, name: 'Glow', colour: 'amber', shelf: 'intensity', fixtures: '1-71', levels: { intensity: 0.35 } },
  { number: 51, name: 'Tight', colour: 'sail', shelf: 'beam', fixtures: '11-18', levels: { zoom: 8, edge: 0.2 } },
  { number: 52, name: 'Wide and soft', colour: 'sail', shelf: 'beam', fixtures: '1-6, 21-26', levels: { zoom: 44 } },
  { number: 53, name: 'Figure', colour: 'sail', shelf: 'beam', fixtures: '1-6, 21-26, 41-44', levels: { zoom: 15 } },
  {
    number: 54,
    name: 'Through gauze',
    colour: 'heather',
    shelf: 'beam',
    fixtures: '11-18',
    levels: { edge: 0.3, frost: 0.75 },
  },
  {
    number: 55,
    name: 'Scattered',
    colour: 'heather',
    shelf: 'beam',
    fixtures: '31-38, 51-54',
    levels: { prism: 1, prismTurn: 30 },
  },
  {
    number: 61,
    name: 'Pale straw',
    colour: 'brass',
    shelf: 'colour',
    fixtures: MIXING,
    look: '#ffedb8',
  },
  {
    number: 62,
    name: 'Moon',
    colour: 'shoal',
    shelf: 'colour',
    fixtures: MIXING,
    look: '#8cc7ff',
  },
  {
    number: 63,
    name: 'Storm green',
    colour: 'kelp',
    shelf: 'colour',
    fixtures: MIXING,
    look: '#78ffc6',
  },
  {
    number: 64,
    name: 'Ember',
    colour: 'coral',
    shelf: 'colour',
    fixtures: MIXING,
    look: '#ff8047',
  },
  {
    number: 65,
    name: 'Lamp oil',
    colour: 'amber',
    shelf: 'colour',
    fixtures: MIXING,
    levels: { temperature: 3000 },
  },
  {
    number: 66,
    name: 'Under the jetty',
    colour: 'shoal',
    shelf: 'colour',
    fixtures: STRAND,
    looks: [
      ['71.1, 71.5', '#1f6fff'],
      ['71.2, 71.4, 71.6', '#28b8d8'],
      ['71.3, 71.7', '#3de0a8'],
      ['71.8', '#9af0ff'],
    ],
  },
  { number: 71, name: 'Ripples', colour: 'shoal', shelf: 'gobo', fixtures: '11-18', levels: { gobo: 2 } },
  { number: 72, name: 'Netting', colour: 'rose', shelf: 'gobo', fixtures: '11-18, 31-38', levels: { gobo: 4 } },
  {
    number: 73,
    name: 'Nets, leaning',
    colour: 'rose',
    shelf: 'gobo',
    fixtures: '11-18',
    levels: { gobo: 4, goboTurn: 25 },
  },
  {
    number: 81,
    name: 'Off the floor',
    colour: 'sail',
    shelf: 'shutters',
    fixtures: '11-18',
    levels: { shutterBottom: 0.4 },
  },
  {
    number: 82,
    name: 'Door slit',
    colour: 'sail',
    shelf: 'shutters',
    fixtures: '11-18',
    levels: { shutterLeft: 0.32, shutterRight: 0.32, shutterTop: 0.12, shutterRightAngle: -8, frameTurn: 12 },
  },
]
