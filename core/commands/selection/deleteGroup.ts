/** Takes a group out. Palettes and cues hold fixtures, not groups, so nothing else changes. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { groupId } from '../../show/ids'
import { command, done, refuse } from '../command'

export const deleteGroup = command({
  input: z.strictObject({ group: groupId }),
  undoable: true,
  run(show, { group }) {
    const known = show.all.group.get(group)
    if (!known) return refuse('unknown group', 'This group is no longer in the show.', 'group')
    const draft = new Draft(show).remove('group', group)
    for (const [id, member] of show.all.groupMember) if (member.group === group) draft.remove('groupMember', id)
    for (const [id, rule] of show.all.paletteSpread) if (rule.group === group) draft.remove('paletteSpread', id)
    return done(draft, `take out group ${known.name}`)
  },
})
