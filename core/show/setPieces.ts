/** Where set pieces stand in the venue the show plays. */
import { placeId } from './compositeIds'
import { derived } from './derived'
import type { EntityOf } from './kinds'
import { asSetPieceId, type SetPieceId } from './ids'
import { showRecordOf } from './show'

export interface PlacedSetPiece {
  readonly id: SetPieceId
  readonly piece: EntityOf['setPiece']
  readonly place: EntityOf['setPiecePlace']
}

/** Every set piece with a place in the venue in play. */
export const setPiecesOf = derived(['setPiecePlace', 'setPiece', 'show'], (show): readonly PlacedSetPiece[] => {
  const { venue } = showRecordOf(show)
  return [...show.all.setPiece].flatMap(([id, piece]) => {
    const place = show.all.setPiecePlace.get(placeId(venue, id))
    return place ? [{ id: asSetPieceId(id), piece, place }] : []
  })
})
