/** The families of what a fixture can do, the attributes in them, and the shelves of palettes. */

export const FAMILIES = ['intensity', 'position', 'beam', 'colour', 'gobo', 'shutters'] as const
export type Family = (typeof FAMILIES)[number]

/** Every attribute and its family. Levels run from 0 to 1; zoom is a full angle in degrees. */
const FAMILY_OF = {
  intensity: 'intensity',
  position: 'position',
  zoom: 'beam',
  edge: 'beam',
  iris: 'beam',
  red: 'colour',
  green: 'colour',
  blue: 'colour',
  colourWheel: 'colour',
  gobo: 'gobo',
  gobo2: 'gobo',
  shutterTop: 'shutters',
  shutterRight: 'shutters',
  shutterBottom: 'shutters',
  shutterLeft: 'shutters',
} as const satisfies Record<string, Family>

export type Attribute = keyof typeof FAMILY_OF
export const ATTRIBUTES = [
  'intensity',
  'position',
  'zoom',
  'edge',
  'iris',
  'red',
  'green',
  'blue',
  'colourWheel',
  'gobo',
  'gobo2',
  'shutterTop',
  'shutterRight',
  'shutterBottom',
  'shutterLeft',
] as const satisfies readonly Attribute[]

/** Attributes as people say them. */
export const ATTRIBUTE_NAMES: Readonly<Record<Attribute, string>> = {
  intensity: 'intensity',
  position: 'position',
  zoom: 'zoom',
  edge: 'edge',
  iris: 'iris',
  red: 'red',
  green: 'green',
  blue: 'blue',
  colourWheel: 'colour wheel',
  gobo: 'gobo',
  gobo2: 'second gobo',
  shutterTop: 'top shutter',
  shutterRight: 'right shutter',
  shutterBottom: 'bottom shutter',
  shutterLeft: 'left shutter',
}

/** What a channel can do: turn an axis, drive an attribute, or something we do not drive. */
export const CHANNEL_ROLES = [
  'pan',
  'tilt',
  'intensity',
  'zoom',
  'edge',
  'iris',
  'red',
  'green',
  'blue',
  'colourWheel',
  'gobo',
  'gobo2',
  'shutterTop',
  'shutterRight',
  'shutterBottom',
  'shutterLeft',
  'other',
] as const satisfies readonly (Attribute | 'pan' | 'tilt' | 'other')[]
export type ChannelRole = (typeof CHANNEL_ROLES)[number]

export function familyOf(attribute: Attribute): Family {
  return FAMILY_OF[attribute]
}

export const SHELVES = ['intensity', 'position', 'focus', 'beam', 'colour', 'gobo', 'shutters', 'combined'] as const
export type Shelf = (typeof SHELVES)[number]

/**
 * What each shelf may take. A position palette takes pan and tilt only; a focus palette also what
 * keeps the pool tight on its place.
 */
export const SHELF_TAKES: Readonly<Record<Shelf, readonly Family[]>> = {
  intensity: ['intensity'],
  position: ['position'],
  focus: ['position', 'beam', 'shutters'],
  beam: ['beam'],
  colour: ['colour'],
  gobo: ['gobo'],
  shutters: ['shutters'],
  combined: FAMILIES,
}

/** What a person takes until they say otherwise: not what was only there to see by. */
export const FIRST_TAKE: readonly Family[] = ['position', 'beam', 'gobo', 'shutters']

/** What going neutral sets until a person says otherwise. */
export const FIRST_NEUTRAL: readonly Family[] = ['position', 'beam', 'colour', 'gobo', 'shutters']

/** What an attribute is worth when nothing sets it. Open white, dark, straight down. */
export function restingNumber(attribute: Exclude<Attribute, 'position'>, zoom: { min: number; max: number } | null) {
  if (attribute === 'zoom') return zoom ? (zoom.min + zoom.max) / 2 : 0
  if (attribute === 'red' || attribute === 'green' || attribute === 'blue' || attribute === 'iris') return 1
  return 0
}
