/** Names the fixtures one may touch, or changes who they are. */
import { memberId } from '../../show/compositeIds'
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { workingSet as workingSetSchema } from '../../show/entities'
import { fixtureId, workingSetId, type WorkingSetId } from '../../show/ids'
import { normalisedName } from '../../show/names'
import { command, done, refuse } from '../command'
import { fixturesInWords } from '../shared/wording'

export const recordWorkingSet = command({
  input: workingSetSchema.extend({
    fixtures: z.array(fixtureId).min(1, 'a working set needs at least one fixture'),
    /** The set to change; null makes a new one. */
    workingSet: workingSetId.nullable(),
  }),
  undoable: true,
  run(show, { name, fixtures, workingSet }, { newId }) {
    for (const [id, other] of show.all.workingSet)
      if (id !== workingSet && normalisedName(other.name) === normalisedName(name))
        return refuse('name taken', { kind: 'workingSet', name: other.name }, 'name')
    if (workingSet !== null && !show.all.workingSet.has(workingSet))
      return refuse('gone', { kind: 'workingSet' }, 'workingSet')
    const id: WorkingSetId = workingSet ?? workingSetId.parse(newId())
    const draft = new Draft(show).put('workingSet', id, { name })
    const members = new Set(fixtures)
    for (const [key, member] of show.all.workingSetMember)
      if (member.workingSet === id && !members.has(member.fixture)) draft.remove('workingSetMember', key)
    for (const fixture of members) draft.put('workingSetMember', memberId(id, fixture), { workingSet: id, fixture })
    return done(draft, `working set ${name} (${fixturesInWords(show, [...members])})`)
  },
})
