/**
 * Records a new cue from the hand, or of what is on stage. Links stay links. The cue goes on stage
 * and what it took leaves the hand, so the picture stays as it was; what was held back stays in hand.
 */
import { handValueId } from '../../show/compositeIds'
import { startCue } from '../../cues/going'
import { setInCues } from '../../cues/editing'
import { putCueValue } from '../../cues/marks'
import { Draft } from '../../show/draft'
import { cue as cueSchema } from '../../show/entities'
import { cueId, workingSetId } from '../../show/ids'
import { z } from 'zod'
import { command, done, refuse } from '../command'
import { cueListOf, cueNumberInUse, noList } from '../shared/cueListOf'
import { recordable, RECORD_FROM } from '../shared/recordable'
import { spendMask } from '../shared/takenFromHand'
import { fixturesInWords } from '../shared/wording'

export const recordCue = command({
  input: cueSchema.omit({ note: true, quiet: true, delay: true, follow: true }).extend({
    delay: cueSchema.shape.delay.optional(),
    follow: cueSchema.shape.follow.optional(),
    from: z.enum(RECORD_FROM).optional(),
    /** Whether later cues carry it on, or go back to what they had. */
    where: z.enum(['here and on', 'here only']).optional(),
    workingSet: workingSetId.nullable().optional(),
  }),
  undoable: true,
  run(
    show,
    { workingSet, from = 'hand', where = 'here and on', delay = 0, follow = 'wait', ...input },
    { person, now, newId },
  ) {
    const list = cueListOf(show, input.list)
    if (!list) return noList()
    const refusal = cueNumberInUse(list, input.number)
    if (refusal) return refusal
    const { values, fixtures } = recordable(show, person, list.list, from, workingSet)
    if (values.length === 0) return refuse('nothing to record', { from, list: list.list.name })
    const id = cueId.parse(newId())
    const draft = new Draft(show)
    draft.put('cue', id, { ...input, delay, follow, note: '', quiet: false })
    const after = draft.result()
    for (const { fixture, attribute, value } of values) {
      putCueValue(draft, { cue: id, fixture, attribute, value })
      draft.remove('handValue', handValueId(person, fixture, attribute))
    }
    if (where === 'here only') {
      const settings = values.map(({ fixture, attribute, value }) => ({ cue: id, fixture, attribute, value }))
      setInCues(after, draft, settings, where)
    }
    spendMask(show, draft, person)
    const stands = cueListOf(after, input.list)
    if (stands) startCue(after, draft, stands, id, { now, seconds: 0, newId })
    return done(draft, `record cue ${input.number} (${fixturesInWords(show, fixtures)})`)
  },
})
