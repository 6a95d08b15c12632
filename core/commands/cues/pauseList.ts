/** Stops what a list is doing, where it is. */
import { Draft } from '../../show/draft'
import { command, done } from '../command'
import { cueListOf, noList, ofList } from '../shared/cueListOf'

export const pauseList = command({
  input: ofList,
  undoable: false,
  run(show, { list: id }, { now }) {
    const list = cueListOf(show, id)
    if (!list) return noList()
    if (list.list.pausedAt !== null) return done(new Draft(show), `pause ${list.list.name}`)
    return done(new Draft(show).set('cueList', list.id, 'pausedAt', now), `pause ${list.list.name}`)
  },
})
