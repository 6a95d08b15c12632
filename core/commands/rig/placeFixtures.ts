/** Hangs one fixture or a row of them: "8 along Bar 1, 1.2 m apart, centred, numbered from 11". */
import { placeId } from '../../show/compositeIds'
import { z } from 'zod'
import { alongRow } from '../../rig/row'
import { Draft } from '../../show/draft'
import { fixture as fixtureSchema, fixturePlace } from '../../show/entities'
import { fixtureId, fixtureModeId, fixtureTypeId, hangId } from '../../show/ids'
import { firstMode } from '../../show/modes'
import { showRecordOf } from '../../show/show'
import { metres } from '../../show/values'
import { command, done, refuse } from '../command'
import { gone, numbersInUse } from '../shared/refusals'

export const placeFixtures = command({
  input: z.strictObject({
    hang: hangId,
    type: fixtureTypeId,
    /** Null takes the type's first mode. */
    mode: fixtureModeId.nullable(),
    count: z.number().int().min(1, 'at least one fixture is wanted').max(500, 'at most 500 at a time'),
    /** Metres between neighbours; null spreads them evenly over the hang. */
    gap: z.number().min(0).max(1000).nullable(),
    middle: metres,
    numberFrom: fixtureSchema.shape.number,
    ...fixturePlace.pick({ out: true, drop: true, yaw: true, pitch: true, roll: true }).shape,
  }),
  undoable: true,
  run(show, { hang, type, mode, count, gap, middle, numberFrom, ...turn }, { newId }) {
    const { venue } = showRecordOf(show)
    const place = show.all.hangPlace.get(placeId(venue, hang))
    const of = show.all.fixtureType.get(type)
    if (!place) return refuse('no place here', { kind: 'hang' }, 'hang')
    if (!of) return gone('fixtureType', 'type')
    if (mode !== null && show.all.fixtureMode.get(mode)?.type !== type)
      return refuse('no such mode', { name: of.name }, 'mode')
    const refusal = numbersInUse(
      show,
      Array.from({ length: count }, (_, i) => numberFrom + i),
    )
    if (refusal) return refusal
    const draft = new Draft(show)
    for (const [i, along] of alongRow({ count, gap, middle }, place.length).entries()) {
      const id = fixtureId.parse(newId())
      draft.put('fixture', id, {
        number: numberFrom + i,
        name: '',
        type,
        mode: mode ?? firstMode(show, type),
        universe: null,
        address: null,
        note: '',
        bar: null,
        cell: null,
      })
      draft.put('fixturePlace', placeId(venue, id), { venue, fixture: id, hang, along, ...turn })
    }
    const name = show.all.hang.get(hang)?.name ?? ''
    const who = count === 1 ? `fixture ${numberFrom}` : `${numberFrom} to ${numberFrom + count - 1}`
    return done(draft, `place ${who} on ${name}`)
  },
})
