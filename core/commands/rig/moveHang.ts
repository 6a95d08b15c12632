/** Puts a hang somewhere else in this venue: its trim, its place, its turn and length. Its fixtures go along. */
import { placeId } from '../../show/compositeIds'
import { z } from 'zod'
import { subtract } from '../../geometry/vector'
import { offsetInWords } from '../../geometry/lengthInWords'
import { Draft } from '../../show/draft'
import { hangPlace } from '../../show/entities'
import { hangId } from '../../show/ids'
import { showRecordOf } from '../../show/show'
import { point } from '../../show/values'
import { command, done, refuse } from '../command'
import { belowFloor } from '../shared/refusals'

export const moveHang = command({
  input: z.strictObject({
    hang: hangId,
    origin: point,
    ...hangPlace.pick({ yaw: true, rise: true, length: true }).partial().shape,
  }),
  undoable: true,
  run(show, { hang, origin, yaw, rise, length }) {
    const id = placeId(showRecordOf(show).venue, hang)
    const place = show.all.hangPlace.get(id)
    const known = show.all.hang.get(hang)
    if (!place || !known) return refuse('no place here', { kind: 'hang' }, 'hang')
    const refusal = belowFloor(known.name, origin)
    if (refusal) return refusal
    const draft = new Draft(show).set('hangPlace', id, 'origin', origin)
    if (yaw !== undefined) draft.set('hangPlace', id, 'yaw', yaw)
    if (rise !== undefined) draft.set('hangPlace', id, 'rise', rise)
    if (length !== undefined) draft.set('hangPlace', id, 'length', length)
    const by = offsetInWords(subtract(origin, place.origin))
    if (by) return done(draft, `move ${known.name} ${by}`)
    const isTurned = (yaw ?? place.yaw) !== place.yaw || (rise ?? place.rise) !== place.rise
    const change = isTurned ? 'turn' : 'change the length of'
    return done(draft, `${change} ${known.name}`)
  },
})
