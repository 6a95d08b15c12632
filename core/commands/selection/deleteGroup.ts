/** Takes a group out. Palettes and cues hold fixtures, not groups, so nothing else changes. */
import { z } from 'zod'
import { removeWithDependents } from '../../show/cascade'
import { Draft } from '../../show/draft'
import { groupId } from '../../show/ids'
import { command, done, refuse } from '../command'

export const deleteGroup = command({
  input: z.strictObject({ group: groupId }),
  undoable: true,
  run(show, { group }) {
    const known = show.all.group.get(group)
    if (!known) return refuse('gone', { kind: 'group' }, 'group')
    return done(removeWithDependents(new Draft(show), 'group', [group]), `take out group ${known.name}`)
  },
})
