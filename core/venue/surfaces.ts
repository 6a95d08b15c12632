/** What light can land on: the stage floor, levels and the set. The one truth that all who ask where light lands share. */
import { derived } from '../show/derived'
import type { Level } from '../show/entities'
import { entity, showRecordOf } from '../show/show'
import { convexPieces } from './convex'
import { prismsOnStage, type PlacedPrism } from './solids'

export interface Surfaces {
  readonly levels: readonly Level[]
  /** The set as it stands; outlines may be bent inwards. */
  readonly prisms: readonly PlacedPrism[]
  /** The same cut into convex pieces: what throws shadows. */
  readonly pieces: readonly PlacedPrism[]
}

/** What surfaces are worked out from. */
export const SURFACE_KINDS = ['setPiecePlace', 'setPiece', 'venue', 'show'] as const
export type SurfaceKind = (typeof SURFACE_KINDS)[number]

/** Levels and the set as things to land on. */
export function surfacesFrom(levels: readonly Level[], prisms: readonly PlacedPrism[]): Surfaces {
  const pieces = prisms.flatMap((prism) => convexPieces(prism.outline).map((outline) => ({ ...prism, outline })))
  return { levels, prisms, pieces }
}

/** Everything to land on in the venue in play. */
export const surfacesOf = derived(SURFACE_KINDS, (show): Surfaces => {
  const { levels } = entity(show, 'venue', showRecordOf(show).venue)
  return surfacesFrom(levels, prismsOnStage(show))
})
