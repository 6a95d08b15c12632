/** The families of what a fixture can do, and the shelves of palettes. */

export const FAMILIES = ['intensity', 'position', 'beam', 'colour', 'gobo', 'shutters'] as const
export type Family = (typeof FAMILIES)[number]

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
