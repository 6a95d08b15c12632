/** Ends the pass of the venue in play: what was checked and said in it goes, touch-ups stay. */
import { z } from 'zod'
import { removeWithDependents } from '../../show/cascade'
import { Draft } from '../../show/draft'
import { showRecordOf } from '../../show/show'
import { command, done } from '../command'
import { inPass } from '../shared/inPass'

export const endPass = command({
  input: z.strictObject({}),
  undoable: true,
  run: (show) =>
    inPass(show, ({ id }) => {
      const draft = removeWithDependents(new Draft(show), 'pass', [id])
      for (const [person, { checking }] of show.all.person)
        if (checking !== null) draft.set('person', person, 'checking', null)
      return done(draft, `end the pass at ${show.all.venue.get(showRecordOf(show).venue)?.name ?? ''}`)
    }),
})
