/** Hangs a new bar, bridge, boom or floor row in the venue in play. */
import { placeId } from '../../show/compositeIds'
import { Draft } from '../../show/draft'
import { hang as hangSchema, hangPlace } from '../../show/entities'
import { hangId } from '../../show/ids'
import { showRecordOf } from '../../show/show'
import { command, done } from '../command'
import { belowFloor, nameInUse } from '../shared/refusals'

export const addHang = command({
  input: hangSchema.extend(hangPlace.omit({ venue: true, hang: true }).shape),
  undoable: true,
  run(show, { name, form, ...place }, { newId }) {
    const refusal = nameInUse(show, 'hang', name) ?? belowFloor(name, place.origin)
    if (refusal) return refusal
    const { venue } = showRecordOf(show)
    const id = hangId.parse(newId())
    const draft = new Draft(show).put('hang', id, { name, form })
    draft.put('hangPlace', placeId(venue, id), { venue, hang: id, ...place })
    return done(draft, `hang ${name}`)
  },
})
