/** Changes what a target is: its name, its form, what it is tied to. It stays where it is on the stage. */
import { placeId } from '../../show/compositeIds'
import { z } from 'zod'
import { turnLevel } from '../../geometry/rotation'
import { subtract } from '../../geometry/vector'
import { Draft } from '../../show/draft'
import { target as targetSchema, type TargetForm } from '../../show/entities'
import { asVenueId, setPieceId, targetId, type SetPieceId } from '../../show/ids'
import { showRecordOf, type Show } from '../../show/show'
import { targetsIn, targetsOf, type PlacedTarget } from '../../show/targets'
import { command, done, refuse } from '../command'
import { gone, nameInUse } from '../shared/refusals'

export const changeTarget = command({
  input: z.strictObject({
    target: targetId,
    name: targetSchema.shape.name.optional(),
    form: targetSchema.shape.form.optional(),
    setPiece: setPieceId.nullable().optional(),
  }),
  undoable: true,
  run(show, { target, name, form, setPiece }) {
    const known = show.all.target.get(target)
    const placed = targetsOf(show).get(target)
    if (!known || !placed) return gone('target', 'target')
    const refusal = name === undefined ? null : nameInUse(show, 'target', name, target)
    if (refusal) return refusal
    const draft = new Draft(show)
    if (name !== undefined) draft.set('target', target, 'name', name)
    if (form !== undefined) draft.set('target', target, 'form', form)
    if (
      setPiece !== undefined &&
      setPiece !== known.setPiece &&
      !tie(show, draft, placed, setPiece, form ?? known.form)
    )
      return refuse('no place here', { kind: 'setPiece' }, 'setPiece')
    return done(draft, `change ${name ?? known.name}`)
  },
})

/** Ties a target to a set piece, or frees it, where it stands. False when the piece stands nowhere here. */
function tie(show: Show, draft: Draft, placed: PlacedTarget, piece: SetPieceId | null, form: TargetForm): boolean {
  const { venue } = showRecordOf(show)
  const { id, position, target } = placed
  const yawNow = show.all.setPiecePlace.get(placeId(venue, target.setPiece ?? ''))?.yaw ?? 0
  const place = piece === null ? null : show.all.setPiecePlace.get(placeId(venue, piece))
  if (place === undefined) return false
  const yawThen = place?.yaw ?? 0
  draft.set('target', id, 'setPiece', piece)
  draft.set('target', id, 'local', place ? turnLevel(subtract(position, place.position), -place.yaw) : null)
  if (form.kind === 'line') draft.set('target', id, 'form', { ...form, to: turnLevel(form.to, yawNow - yawThen) })
  if (place === null)
    for (const other of [...show.all.venue.keys()].map(asVenueId)) {
      const there = targetsIn(show, other).get(id)
      if (there) draft.put('targetPlace', placeId(other, id), { venue: other, target: id, position: there.position })
    }
  else for (const [key, other] of show.all.targetPlace) if (other.target === id) draft.remove('targetPlace', key)
  return true
}
