/** Takes a hang out of the show. One with fixtures goes only with a word on what becomes of them. */
import { z } from 'zod'
import { removeWithDependents } from '../../show/cascade'
import { Draft } from '../../show/draft'
import { hangId } from '../../show/ids'
import { command, done, refuse } from '../command'
import { gone } from '../shared/refusals'

export const deleteHang = command({
  input: z.strictObject({
    hang: hangId,
    /** What becomes of its fixtures; null refuses while there are any. */
    fixtures: z
      .discriminatedUnion('kind', [
        z.strictObject({ kind: z.literal('move'), to: hangId }),
        z.strictObject({ kind: z.literal('delete') }),
      ])
      .nullable(),
  }),
  undoable: true,
  run(show, { hang, fixtures }) {
    const known = show.all.hang.get(hang)
    if (!known) return gone('hang', 'hang')
    const on = [...show.all.fixturePlace].filter(([, place]) => place.hang === hang)
    if (on.length > 0 && fixtures === null)
      return refuse('hang in use', { name: known.name, fixtures: on.length }, 'hang')
    const draft = new Draft(show)
    if (fixtures?.kind === 'move') {
      for (const [id, place] of on) {
        const hangsHere = [...show.all.hangPlace.values()].some(
          (p) => p.venue === place.venue && p.hang === fixtures.to,
        )
        if (!hangsHere || fixtures.to === hang) return refuse('other hang elsewhere', {}, 'fixtures')
        draft.set('fixturePlace', id, 'hang', fixtures.to)
      }
    } else
      removeWithDependents(
        draft,
        'fixture',
        on.map(([, place]) => place.fixture),
      )
    return done(removeWithDependents(draft, 'hang', [hang]), `take out ${known.name}`)
  },
})
