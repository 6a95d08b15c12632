/** Takes a working set out; the fixtures in it stay as they are. */
import { z } from 'zod'
import { removeWithDependents } from '../../show/cascade'
import { Draft } from '../../show/draft'
import { workingSetId } from '../../show/ids'
import { command, done, refuse } from '../command'

export const deleteWorkingSet = command({
  input: z.strictObject({ workingSet: workingSetId }),
  undoable: true,
  run(show, { workingSet }) {
    const known = show.all.workingSet.get(workingSet)
    if (!known) return refuse('gone', { kind: 'workingSet' }, 'workingSet')
    return done(
      removeWithDependents(new Draft(show), 'workingSet', [workingSet]),
      `take out the working set ${known.name}`,
    )
  },
})
