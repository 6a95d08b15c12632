/** Adds a cue list. */
import { Draft } from '../show/draft'
import { cueList } from '../show/entities'
import { cueListId } from '../show/ids'
import { command, done, refuse } from './command'

export const addCueList = command({
  input: cueList.pick({ number: true, name: true, intensityRule: true }),
  undoable: true,
  run(show, input, { newId }) {
    for (const known of show.all.cueList.values())
      if (known.number === input.number)
        return refuse('number taken', `Number ${input.number} is the list ${known.name}. Choose another.`, 'number')
    const draft = new Draft(show).put('cueList', cueListId.parse(newId()), { ...input, onStage: null })
    return done(draft.changes(), `add cue list ${input.name}`)
  },
})
