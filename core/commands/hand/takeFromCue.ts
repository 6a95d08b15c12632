/** Takes parts of a cue into the hand, with what is carried into it. */
import { z } from 'zod'
import { listsInOrder, stateAt } from '../../cues/tracking'
import { Draft } from '../../show/draft'
import { cueId } from '../../show/ids'
import { givenBy } from '../../show/values'
import { command, done, refuse } from '../command'
import { putIntoHand, takeChoice } from '../shared/takeValues'
import { fixturesInWords } from '../shared/wording'
import { listInWords } from '../../show/listInWords'

export const takeFromCue = command({
  input: z.strictObject({ ...takeChoice, cue: cueId }),
  undoable: true,
  run(show, { cue: id, ...choice }, { person }) {
    const cue = show.all.cue.get(id)
    const list = cue && listsInOrder(show).find((other) => other.id === cue.list)
    if (!cue || !list) return refuse('gone', { kind: 'cue' }, 'cue')
    const values = [...stateAt(show, list, id).values()].flatMap((stored) => {
      const value = givenBy(stored)
      return value ? [{ ...stored, value }] : []
    })
    const draft = new Draft(show)
    const fixtures = putIntoHand(show, draft, person, values, choice)
    const what = listInWords(choice.families)
    if (fixtures.length === 0)
      return refuse('cue holds none', { cue: cue.number, families: choice.families }, 'families')
    return done(draft, `take ${what} of ${fixturesInWords(show, fixtures)} from cue ${cue.number}`)
  },
})
