/** A list's master, 0 to 1. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { cueList } from '../../show/entities'
import { cueListId } from '../../show/ids'
import { command, done } from '../command'
import { cueListOf, noList } from '../shared/cueListOf'

export const setMaster = command({
  input: z.strictObject({ list: cueListId, level: cueList.shape.level }),
  undoable: false,
  run(show, { list: id, level }) {
    const list = cueListOf(show, id)
    if (!list) return noList()
    const draft = new Draft(show).set('cueList', list.id, 'level', level)
    return done(draft, `master of ${list.list.name} at ${Math.round(level * 100)} %`, `master ${id}`)
  },
})
