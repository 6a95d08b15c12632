/** Puts a cue of a list on stage, or takes the list off it. */
import { z } from 'zod'
import { Draft } from '../show/draft'
import { cueId, cueListId } from '../show/ids'
import { command, done, refuse } from './command'

export const goToCue = command({
  input: z.strictObject({ list: cueListId, cue: cueId.nullable() }),
  undoable: false,
  run(show, { list, cue }) {
    const target = cue === null ? null : show.all.cue.get(cue)
    if (!show.all.cueList.has(list) || target === undefined)
      return refuse('unknown cue', 'This cue is no longer in the show.', 'cue')
    if (target && target.list !== list) return refuse('other list', 'This cue stands in another list.', 'cue')
    const draft = new Draft(show).set('cueList', list, 'onStage', cue)
    return done(draft.changes(), target ? `go to cue ${target.number}` : 'take the list off the stage')
  },
})
