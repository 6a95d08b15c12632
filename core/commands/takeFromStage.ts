/** Takes what the cues show now into the hand, as links or as loose values. */
import { z } from 'zod'
import { playedBack } from '../cues/playback'
import { Draft } from '../show/draft'
import { command, done, refuse } from './command'
import { putTaken, takeChoice } from './takeValues'
import { fixturesInWords, listInWords } from './wording'

export const takeFromStage = command({
  input: z.strictObject(takeChoice),
  undoable: true,
  run(show, choice, { person }) {
    const draft = new Draft(show)
    const values = [...playedBack(show)].map(([key, value]) => ({ key, value }))
    const fixtures = putTaken(show, draft, person, values, choice)
    if (fixtures.length === 0)
      return refuse('nothing there', `The cues show no ${listInWords(choice.families)} of these fixtures.`, 'families')
    return done(
      draft.changes(),
      `take ${listInWords(choice.families)} of ${fixturesInWords(show, fixtures)} from stage`,
    )
  },
})
