/** What of hangs, fixtures, set pieces and targets each venue has for itself, number by number. */
import type { EntityOf } from '../show/kinds'

export const PLACED_KINDS = ['hang', 'fixture', 'setPiece', 'target'] as const
export type PlacedKind = (typeof PLACED_KINDS)[number]

/** The kind that holds where such a thing is in a venue. */
export const PLACE_OF = {
  hang: 'hangPlace',
  fixture: 'fixturePlace',
  setPiece: 'setPiecePlace',
  target: 'targetPlace',
} as const
export type PlaceKind = (typeof PLACE_OF)[PlacedKind]
type PlaceOf<K extends PlacedKind> = EntityOf[(typeof PLACE_OF)[K]]

/** A number of a place: metres in the stage frame, or degrees. */
export interface PlaceField<P> {
  readonly name: string
  readonly unit: 'm' | '°'
  readonly get: (place: P) => number
  readonly put: (place: P, value: number) => P
}

interface At {
  readonly x: number
  readonly y: number
  readonly z: number
}

/** The three numbers of a point a place has; the last has the name the trade gives it. */
function point<P>(at: (place: P) => At, put: (place: P, at: At) => P, height: string): PlaceField<P>[] {
  const names = { x: 'to stage left', y: 'upstage', z: height }
  return (['x', 'y', 'z'] as const).map((axis) => ({
    name: names[axis],
    unit: 'm',
    get: (place) => at(place)[axis],
    put: (place, value) => put(place, { ...at(place), [axis]: value }),
  }))
}

function plain<P extends object, F extends keyof P & string>(
  field: F & (P[F] extends number ? F : never),
  unit: 'm' | '°',
  name: string = field,
): PlaceField<P> {
  return {
    name,
    unit,
    get: (place) => Number(place[field]),
    put: (place, value) => ({ ...place, [field]: value }),
  }
}

export const PLACE_FIELDS: { readonly [K in PlacedKind]: readonly PlaceField<PlaceOf<K>>[] } = {
  hang: [
    ...point<PlaceOf<'hang'>>(
      ({ origin }) => origin,
      (place, origin) => ({ ...place, origin }),
      'trim',
    ),
    plain('yaw', '°'),
    plain('rise', '°'),
    plain('length', 'm'),
  ],
  fixture: [
    plain('along', 'm'),
    plain('out', 'm'),
    plain('drop', 'm'),
    plain('yaw', '°'),
    plain('pitch', '°'),
    plain('roll', '°'),
  ],
  setPiece: [
    ...point<PlaceOf<'setPiece'>>(
      ({ position }) => position,
      (place, position) => ({ ...place, position }),
      'up',
    ),
    plain('yaw', '°'),
  ],
  target: point<PlaceOf<'target'>>(
    ({ position }) => position,
    (place, position) => ({ ...place, position }),
    'up',
  ),
}

/** The name of the row that says on which hang a fixture is. */
export const ON_HANG = 'on'
