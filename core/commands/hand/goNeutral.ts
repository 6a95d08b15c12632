/** Brings fixtures to a start to work from: open, white, straight down, for the families the person's mask takes; a mask for once is used up. */
import { z } from 'zod'
import { neutralValue, putEvery } from '../../hand/rest'
import { Draft } from '../../show/draft'
import { FIRST_NEUTRAL } from '../../attributes/families'
import { fixtureId } from '../../show/ids'
import { command, done, refuse } from '../command'
import { fixturesInWords } from '../shared/wording'
import { listInWords } from '../../show/listInWords'

export const goNeutral = command({
  input: z.strictObject({
    fixtures: z.array(fixtureId).min(1),
  }),
  undoable: true,
  run(show, { fixtures }, { person }) {
    const known = show.all.person.get(person)
    const taken = known?.neutral ?? FIRST_NEUTRAL
    const draft = new Draft(show)
    putEvery(show, draft, person, fixtures, taken, neutralValue)
    if (draft.changes().length === 0)
      return taken.length === 0
        ? refuse('neutral takes nothing', {}, 'families')
        : refuse('neutral already', { families: taken }, 'families')
    if (known) draft.set('person', person, 'usualNeutral', null)
    if (known?.neutralOnce)
      draft
        .set('person', person, 'neutral', known.usualNeutral ?? [...FIRST_NEUTRAL])
        .set('person', person, 'neutralOnce', false)
    return done(draft, `${listInWords(taken)} of ${fixturesInWords(show, fixtures)} neutral`)
  },
})
