/** Takes a cue list out with its cues. */
import { removeWithDependents } from '../../show/cascade'
import { Draft } from '../../show/draft'
import { command, done, refuse } from '../command'
import { cueListOf, noList, ofList } from '../shared/cueListOf'
import { counted } from '../../show/counted'

export const deleteCueList = command({
  input: ofList,
  undoable: true,
  run(show, { list: id }) {
    const list = cueListOf(show, id)
    if (!list) return noList()
    if (show.all.cueList.size === 1) return refuse('the only list', {}, 'list')
    const draft = removeWithDependents(new Draft(show), 'cueList', [id])
    const count = list.cues.length
    return done(draft, `take out the list ${list.list.name} (${counted(count, 'cue')})`)
  },
})
