/**
 * Records a new cue from the hand. Links stay links. The cue goes on stage and what it took leaves
 * the hand, so the picture stays as it was; what was held back stays in hand.
 */
import { cueValueId, listsInOrder } from '../cues/tracking'
import { handValueId } from '../cues/onStage'
import { Draft } from '../show/draft'
import { cue as cueSchema } from '../show/entities'
import { cueId, workingSetId } from '../show/ids'
import { TAKE_ALL } from '../show/masks'
import { command, done, refuse } from './command'
import { spendMask, takenFromHand } from './taken'
import { fixturesInWords } from './wording'

export const recordCue = command({
  input: cueSchema
    .pick({ list: true, number: true, name: true, rise: true, fall: true, move: true, travel: true })
    .extend({ workingSet: workingSetId.nullable().optional() }),
  undoable: true,
  run(show, { workingSet, ...input }, { person, newId }) {
    const list = listsInOrder(show).find(({ id }) => id === input.list)
    if (!list) return refuse('unknown list', 'This cue list is no longer in the show.', 'list')
    const existing = list.cues.find(({ cue }) => cue.number === input.number)
    if (existing)
      return refuse(
        'number taken',
        `Cue ${input.number} is ${existing.cue.name || 'already there'}. Choose another number.`,
        'number',
      )
    const { values, fixtures } = takenFromHand(show, person, TAKE_ALL, workingSet)
    if (values.length === 0)
      return refuse('nothing to take', 'Nothing in hand is being taken. Aim something, or switch a family on.')
    const id = cueId.parse(newId())
    const draft = new Draft(show)
    draft.put('cue', id, { ...input, note: '' })
    for (const { fixture, attribute, value } of values) {
      draft.put('cueValue', cueValueId(id, fixture, attribute), { cue: id, fixture, attribute, value })
      draft.remove('handValue', handValueId(person, fixture, attribute))
    }
    spendMask(show, draft, person)
    draft.set('cueList', input.list, 'onStage', id)
    return done(draft.changes(), `record cue ${input.number} (${fixturesInWords(show, fixtures)})`)
  },
})
