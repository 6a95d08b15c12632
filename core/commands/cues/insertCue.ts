/** Puts an empty cue into a list: it carries everything on until something is set in it. */
import { Draft } from '../../show/draft'
import { cue as cueSchema } from '../../show/entities'
import { cueId } from '../../show/ids'
import { command, done } from '../command'
import { cueListOf, cueNumberInUse, noList } from '../shared/cueListOf'

export const insertCue = command({
  input: cueSchema.omit({ note: true, quiet: true }),
  undoable: true,
  run(show, input, { newId }) {
    const list = cueListOf(show, input.list)
    if (!list) return noList()
    const refusal = cueNumberInUse(list, input.number)
    if (refusal) return refusal
    const draft = new Draft(show).put('cue', cueId.parse(newId()), { ...input, note: '', quiet: false })
    return done(draft, `insert cue ${input.number} ${input.name}`.trim())
  },
})
