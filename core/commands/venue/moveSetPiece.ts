/** Moves and turns a set piece in this venue; the targets tied to it go along. */
import { placeId } from '../../show/compositeIds'
import { z } from 'zod'
import { subtract } from '../../geometry/vector'
import { offsetInWords } from '../../geometry/lengthInWords'
import { Draft } from '../../show/draft'
import { setPieceId } from '../../show/ids'
import { showRecordOf } from '../../show/show'
import { degrees, point } from '../../show/values'
import { command, done, refuse } from '../command'
import { lockedLayer } from '../shared/refusals'

export const moveSetPiece = command({
  input: z.strictObject({ setPiece: setPieceId, position: point, yaw: degrees }),
  undoable: true,
  run(show, { setPiece, position, yaw }) {
    const id = placeId(showRecordOf(show).venue, setPiece)
    const place = show.all.setPiecePlace.get(id)
    const piece = show.all.setPiece.get(setPiece)
    if (!place || !piece) return refuse('no place here', { kind: 'setPiece' }, 'setPiece')
    const locked = lockedLayer(show, piece.layer, piece.name)
    if (locked) return locked
    const draft = new Draft(show).set('setPiecePlace', id, 'position', position).set('setPiecePlace', id, 'yaw', yaw)
    const by = offsetInWords(subtract(position, place.position)) || `${Math.round(yaw - place.yaw)}° round`
    return done(draft, `move ${piece.name} ${by}`)
  },
})
