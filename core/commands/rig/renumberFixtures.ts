/** Numbers fixtures anew, one after the other in the order given. */
import { z } from 'zod'
import { wholesAmong } from '../../show/cells'
import { Draft } from '../../show/draft'
import { fixture as fixtureSchema } from '../../show/entities'
import { fixtureId } from '../../show/ids'
import { command, done } from '../command'
import { gone, numbersInUse } from '../shared/refusals'
import { fixturesInWords } from '../shared/wording'

export const renumberFixtures = command({
  input: z.strictObject({
    fixtures: z.array(fixtureId).min(1),
    numberFrom: fixtureSchema.shape.number,
    step: z.number().int().min(1).max(1000),
  }),
  undoable: true,
  run(show, { fixtures: chosen, numberFrom, step }) {
    const fixtures = wholesAmong(show, chosen)
    const numbers = fixtures.map((_, i) => numberFrom + i * step)
    const refusal = numbersInUse(show, numbers, new Set(fixtures))
    if (refusal) return refusal
    const draft = new Draft(show)
    for (const [i, id] of fixtures.entries()) {
      if (!show.all.fixture.has(id)) return gone('fixture', 'fixtures')
      draft.set('fixture', id, 'number', numbers[i] ?? 0)
    }
    return done(draft, `number ${fixturesInWords(show, fixtures)} from ${numberFrom}`)
  },
})
