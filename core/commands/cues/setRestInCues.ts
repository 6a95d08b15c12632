/** Lets go of what cues hold, set or carried: what lies under the list comes through, in the end the state at rest. */
import { z } from 'zod'
import { lettingGo, setInCues, WHERE } from '../../cues/editing'
import { command, refuse } from '../command'
import { cells, onCells } from '../shared/cells'

export const setRestInCues = command({
  input: z.strictObject({ ...cells, where: z.enum(WHERE) }),
  undoable: true,
  run: (show, { where, ...choice }) =>
    onCells(
      show,
      choice,
      (draft) => {
        const settings = lettingGo(show, choice)
        setInCues(show, draft, settings, where)
        return settings.length
      },
      'back to rest:',
      refuse('rests already', { families: choice.families }, 'cues'),
    ),
})
