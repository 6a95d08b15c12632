/** Renames, renumbers or colours a group, changes its pattern, or who is in it and in which order. */
import { z } from 'zod'
import { spreadAnew } from '../../groups/paletteSpreads'
import { Draft } from '../../show/draft'
import { group as groupSchema } from '../../show/entities'
import { fixtureId, groupId } from '../../show/ids'
import { command, done, refuse } from '../command'
import { groupNumberInUse, putGroupMembers } from '../shared/groupMembers'
import { listInWords } from '../../show/listInWords'
import { counted } from '../../show/counted'

export const changeGroup = command({
  input: groupSchema.partial().extend({ group: groupId, fixtures: z.array(fixtureId).min(1).optional() }),
  undoable: true,
  run(show, { group, fixtures, ...fields }) {
    const known = show.all.group.get(group)
    if (!known) return refuse('gone', { kind: 'group' }, 'group')
    const refusal = fields.number === undefined ? null : groupNumberInUse(show, fields.number, group)
    if (refusal) return refusal
    const draft = new Draft(show)
    if (fields.number !== undefined) draft.set('group', group, 'number', fields.number)
    if (fields.name !== undefined) draft.set('group', group, 'name', fields.name)
    if (fields.colour !== undefined) draft.set('group', group, 'colour', fields.colour)
    if (fields.pattern !== undefined) draft.set('group', group, 'pattern', fields.pattern)
    if (fixtures) putGroupMembers(show, draft, group, fixtures)
    const spread = fixtures ? spreadAnew(show, draft, group, fixtures) : 0
    const what = [...Object.keys(fields), ...(fixtures ? ['members'] : [])]
    const along = spread === 0 ? '' : `, ${counted(spread, 'palette')} spread anew`
    return done(draft, `change the ${listInWords(what)} of group ${known.name}${along}`)
  },
})
