/** Says of notes on cues that they are seen to, or are not yet. */
import { z } from 'zod'
import { counted } from '../../show/counted'
import { Draft } from '../../show/draft'
import { cueNoteId } from '../../show/ids'
import { command, done, refuse } from '../command'

export const settleCueNotes = command({
  input: z.strictObject({ notes: z.array(cueNoteId).min(1).max(10_000), isDone: z.boolean() }),
  undoable: true,
  run(show, { notes, isDone }) {
    if (notes.some((id) => !show.all.cueNote.has(id))) return refuse('one gone', { kind: 'cueNote' }, 'notes')
    const draft = new Draft(show)
    for (const id of notes) draft.set('cueNote', id, 'isDone', isDone)
    return done(draft, `${isDone ? 'settle' : 'reopen'} ${counted(notes.length, 'note on a cue', 'notes on cues')}`)
  },
})
