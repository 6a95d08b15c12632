/** Brings groups into another order: they share out the numbers they have, so gaps stay where they are. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { groupId } from '../../show/ids'
import { command, done, refuse } from '../command'

export const orderGroups = command({
  input: z.strictObject({
    /** Groups in their new order; those left out keep their numbers. */
    groups: z
      .array(groupId)
      .min(1)
      .refine((groups) => new Set(groups).size === groups.length, 'a group stands there twice'),
  }),
  undoable: true,
  run(show, { groups }) {
    const numbers = groups.flatMap((id) => show.all.group.get(id)?.number ?? []).sort((a, b) => a - b)
    if (numbers.length < groups.length) return refuse('one gone', { kind: 'group' }, 'groups')
    const draft = new Draft(show)
    for (const [i, id] of groups.entries()) draft.set('group', id, 'number', numbers[i] ?? 0)
    return done(draft, 'reorder groups')
  },
})
