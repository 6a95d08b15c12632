/** Puts a cue of a list on stage, or takes the list off it. */
import { z } from 'zod'
import { startCue } from '../../cues/going'
import { Draft } from '../../show/draft'
import { cueId, cueListId } from '../../show/ids'
import { command, done, refuse } from '../command'
import { cueListOf, noCue } from '../shared/cueListOf'

export const goToCue = command({
  input: z.strictObject({
    list: cueListId,
    cue: cueId.nullable(),
    /** How long it takes; null for the cue's own times, at once when left out. */
    seconds: z.number().min(0).max(3600).nullable().optional(),
  }),
  undoable: false,
  run(show, { list: listId, cue, seconds = 0 }, { now, newId }) {
    const target = cue === null ? null : show.all.cue.get(cue)
    const list = cueListOf(show, listId)
    if (!list || target === undefined) return noCue()
    if (target && target.list !== listId) return refuse('other list', {}, 'cue')
    const draft = new Draft(show)
    startCue(show, draft, list, cue, { now, seconds, newId })
    return done(draft, target ? `go to cue ${target.number}` : `take ${list.list.name} off the stage`)
  },
})
