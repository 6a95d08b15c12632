/** Hangs copies of fixtures beside them, or on another hang, numbered on. */
import { placeId } from '../../show/compositeIds'
import { z } from 'zod'
import { wholesAmong } from '../../show/cells'
import { Draft } from '../../show/draft'
import { fixture as fixtureSchema } from '../../show/entities'
import { fixtureId, hangId } from '../../show/ids'
import { showRecordOf } from '../../show/show'
import { metres } from '../../show/values'
import { command, done, refuse } from '../command'
import { gone, numbersInUse } from '../shared/refusals'
import { fixturesInWords } from '../shared/wording'

export const copyFixtures = command({
  input: z.strictObject({
    fixtures: z.array(fixtureId).min(1).max(500),
    numberFrom: fixtureSchema.shape.number,
    hang: hangId,
    /** How far along the hang the copies sit from the first ones, metres. */
    by: metres,
  }),
  undoable: true,
  run(show, { fixtures: chosen, numberFrom, hang, by }, { newId }) {
    const fixtures = wholesAmong(show, chosen)
    const { venue } = showRecordOf(show)
    if (!show.all.hangPlace.has(placeId(venue, hang))) return refuse('no place here', { kind: 'hang' }, 'hang')
    const refusal = numbersInUse(
      show,
      fixtures.map((_, i) => numberFrom + i),
    )
    if (refusal) return refusal
    const draft = new Draft(show)
    for (const [i, id] of fixtures.entries()) {
      const known = show.all.fixture.get(id)
      const place = show.all.fixturePlace.get(placeId(venue, id))
      if (!known || !place) return gone('fixture', 'fixtures')
      const copy = fixtureId.parse(newId())
      draft.put('fixture', copy, { ...known, number: numberFrom + i, universe: null, address: null })
      draft.put('fixturePlace', placeId(venue, copy), { ...place, fixture: copy, hang, along: place.along + by })
    }
    return done(draft, `copy ${fixturesInWords(show, fixtures)}`)
  },
})
