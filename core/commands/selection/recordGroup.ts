/** Keeps a selection, in its order, as a group. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { group as groupSchema } from '../../show/entities'
import { fixtureId, groupId } from '../../show/ids'
import { command, done } from '../command'
import { groupNumberInUse, putGroupMembers } from '../shared/groupMembers'
import { fixturesInWords } from '../shared/wording'

export const recordGroup = command({
  input: groupSchema.pick({ number: true, name: true }).extend({
    fixtures: z.array(fixtureId).min(1),
    ...groupSchema.pick({ colour: true, pattern: true }).partial().shape,
  }),
  undoable: true,
  run(show, { number, name, fixtures, colour = 'brass', pattern = null }, { newId }) {
    const refusal = groupNumberInUse(show, number)
    if (refusal) return refusal
    const id = groupId.parse(newId())
    const draft = new Draft(show).put('group', id, { number, name, colour, pattern })
    putGroupMembers(show, draft, id, fixtures)
    return done(draft, `record group ${name} (${fixturesInWords(show, fixtures)})`)
  },
})
