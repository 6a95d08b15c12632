/** Takes a set piece out. Targets tied to it stay where they are, free from then on. */
import { placeId } from '../../show/compositeIds'
import { z } from 'zod'
import { removeWithDependents } from '../../show/cascade'
import { Draft } from '../../show/draft'
import type { TargetForm } from '../../show/entities'
import { asTargetId, setPieceId } from '../../show/ids'
import { add } from '../../geometry/vector'
import { turnLevel } from '../../geometry/rotation'
import { command, done } from '../command'
import { gone, lockedLayer } from '../shared/refusals'

export const deleteSetPiece = command({
  input: z.strictObject({ setPiece: setPieceId }),
  undoable: true,
  run(show, { setPiece }) {
    const known = show.all.setPiece.get(setPiece)
    if (!known) return gone('setPiece', 'setPiece')
    const locked = lockedLayer(show, known.layer, known.name)
    if (locked) return locked
    const draft = new Draft(show)
    const places = [...show.all.setPiecePlace.values()].filter((place) => place.setPiece === setPiece)
    let freed = 0
    for (const [id, target] of show.all.target) {
      const { local } = target
      if (target.setPiece !== setPiece || local === null) continue
      freed += 1
      draft.set('target', id, 'setPiece', null).set('target', id, 'local', null)
      for (const { venue, position, yaw } of places)
        draft.put('targetPlace', placeId(venue, id), {
          venue,
          target: asTargetId(id),
          position: add(position, turnLevel(local, yaw)),
        })
      draft.set('target', id, 'form', turnedForm(target.form, places[0]?.yaw ?? 0))
    }
    removeWithDependents(draft, 'setPiece', [setPiece])
    const label = freed === 0 ? '' : `; ${freed === 1 ? 'its target stays' : `its ${freed} targets stay`} free`
    return done(draft, `take out ${known.name}${label}`)
  },
})

/** A line's far end turned as its piece stood. */
function turnedForm(form: TargetForm, yaw: number): TargetForm {
  return form.kind === 'line' ? { ...form, to: turnLevel(form.to, yaw) } : form
}
