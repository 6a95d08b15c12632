/** Keeps a selection, in its order, as a group. */
import { z } from 'zod'
import { Draft } from '../show/draft'
import { group as groupSchema } from '../show/entities'
import { fixtureId, groupId } from '../show/ids'
import { command, done, refuse } from './command'
import { fixturesInWords } from './wording'

export const recordGroup = command({
  input: groupSchema.extend({ fixtures: z.array(fixtureId).min(1) }),
  undoable: true,
  run(show, { number, name, fixtures }, { newId }) {
    for (const existing of show.all.group.values())
      if (existing.number === number)
        return refuse('number taken', `Number ${number} is the group ${existing.name}. Choose another.`, 'number')
    const id = groupId.parse(newId())
    const draft = new Draft(show).put('group', id, { number, name })
    for (const [i, fixture] of fixtures.entries())
      draft.put('groupMember', `${id}.${fixture}`, { group: id, fixture, order: i + 1 })
    return done(draft.changes(), `record group ${name} (${fixturesInWords(show, fixtures)})`)
  },
})
