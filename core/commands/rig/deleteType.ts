/** Takes a fixture type out. One that fixtures use goes only with a word on what becomes of them. */
import { z } from 'zod'
import { removeWithDependents } from '../../show/cascade'
import { Draft } from '../../show/draft'
import { fixtureTypeId } from '../../show/ids'
import { firstMode } from '../../show/modes'
import { command, done, refuse } from '../command'
import { gone } from '../shared/refusals'

export const deleteType = command({
  input: z.strictObject({
    type: fixtureTypeId,
    /** What becomes of its fixtures; null refuses while there are any. */
    fixtures: z
      .discriminatedUnion('kind', [
        z.strictObject({ kind: z.literal('change'), to: fixtureTypeId }),
        z.strictObject({ kind: z.literal('leave without') }),
      ])
      .nullable(),
  }),
  undoable: true,
  run(show, { type, fixtures }) {
    const known = show.all.fixtureType.get(type)
    if (!known) return gone('fixtureType', 'type')
    const users = [...show.all.fixture].filter(([, fixture]) => fixture.type === type)
    if (users.length > 0 && fixtures === null)
      return refuse('type in use', { name: known.name, fixtures: users.length }, 'type')
    const to = fixtures?.kind === 'change' ? fixtures.to : null
    if (to !== null && (to === type || !show.all.fixtureType.has(to))) return gone('fixtureType', 'fixtures')
    const draft = new Draft(show)
    if (to !== null)
      for (const [id] of users) draft.set('fixture', id, 'type', to).set('fixture', id, 'mode', firstMode(show, to))
    return done(removeWithDependents(draft, 'fixtureType', [type]), `take out the type ${known.name}`)
  },
})
