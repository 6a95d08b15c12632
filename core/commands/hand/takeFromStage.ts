/** Takes what the cues show now into the hand, as links or as loose values. */
import { z } from 'zod'
import { recordedBack } from '../../cues/recordedBack'
import { Draft } from '../../show/draft'
import { command, done, refuse } from '../command'
import { eachOf, putIntoHand, takeChoice } from '../shared/takeValues'
import { fixturesInWords } from '../shared/wording'
import { listInWords } from '../../show/listInWords'

export const takeFromStage = command({
  input: z.strictObject(takeChoice),
  undoable: true,
  run(show, choice, { person }) {
    const draft = new Draft(show)
    const fixtures = putIntoHand(show, draft, person, eachOf(recordedBack(show)), choice)
    if (fixtures.length === 0) return refuse('cues show none', { families: choice.families }, 'families')
    return done(draft, `take ${listInWords(choice.families)} of ${fixturesInWords(show, fixtures)} from stage`)
  },
})
