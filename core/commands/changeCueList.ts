/** Changes a cue list, or takes it out with its cues. */
import { z } from 'zod'
import { removeCues } from '../cues/removal'
import { Draft } from '../show/draft'
import { cueList } from '../show/entities'
import { cueListId } from '../show/ids'
import { command, done, refuse } from './command'
import { cueListOf, noList } from './cueListOf'
import { givenOnly } from './given'

export const changeCueList = command({
  input: cueList
    .pick({ number: true, name: true, intensityRule: true, priority: true, take: true, heldBack: true })
    .partial()
    .extend({ list: cueListId }),
  undoable: true,
  run(show, { list: id, ...fields }) {
    const list = cueListOf(show, id)
    if (!list) return noList()
    for (const [other, known] of show.all.cueList)
      if (other !== id && known.number === fields.number)
        return refuse('number taken', `Number ${known.number} is the list ${known.name}. Choose another.`, 'number')
    if (fields.take?.length === 0)
      return refuse('takes nothing', `${list.list.name} would take nothing any more. Leave one family on.`, 'take')
    const draft = new Draft(show).put('cueList', id, { ...list.list, ...givenOnly(fields) })
    return done(draft, `change the list ${list.list.name}`)
  },
})

export const deleteCueList = command({
  input: z.strictObject({ list: cueListId }),
  undoable: true,
  run(show, { list: id }) {
    const list = cueListOf(show, id)
    if (!list) return noList()
    if (show.all.cueList.size === 1)
      return refuse('the only list', 'A show keeps one cue list: this is the last one.', 'list')
    const draft = new Draft(show)
    removeCues(show, draft, new Set(list.cues.map((cue) => cue.id)))
    for (const [run, { list: of }] of show.all.cueRun) if (of === id) draft.remove('cueRun', run)
    draft.remove('cueList', id)
    const count = list.cues.length
    return done(draft, `take out the list ${list.list.name} (${count} ${count === 1 ? 'cue' : 'cues'})`)
  },
})
