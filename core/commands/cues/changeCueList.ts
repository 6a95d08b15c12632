/** Changes a cue list: what it is called, what it takes and how it plays. */
import { Draft } from '../../show/draft'
import { cueList } from '../../show/entities'
import { cueListId } from '../../show/ids'
import { command, done, refuse } from '../command'
import { cueListOf, noList } from '../shared/cueListOf'
import { definedFields } from '../shared/definedFields'

export const changeCueList = command({
  input: cueList
    .pick({ number: true, name: true, intensityRule: true, priority: true, take: true, heldBack: true })
    .partial()
    .extend({ list: cueListId, travel: cueList.shape.travel.unwrap().optional() }),
  undoable: true,
  run(show, { list: id, ...fields }) {
    const list = cueListOf(show, id)
    if (!list) return noList()
    for (const [other, known] of show.all.cueList)
      if (other !== id && known.number === fields.number)
        return refuse('number taken', { kind: 'cueList', number: known.number, by: known.name }, 'number')
    if (fields.take?.length === 0) return refuse('takes nothing', { name: list.list.name }, 'take')
    const draft = new Draft(show).put('cueList', id, { ...list.list, ...definedFields(fields) })
    return done(draft, `change the list ${list.list.name}`)
  },
})
