/** Takes out values that only repeat what is carried; blocked ones stay. */
import { z } from 'zod'
import { repeatsWithin } from '../../cues/editing'
import { command, refuse } from '../command'
import { cells, onCells, removeValues } from '../shared/cells'

export const cleanUpCues = command({
  input: z.strictObject(cells),
  undoable: true,
  run: (show, choice) =>
    onCells(
      show,
      choice,
      (draft) => removeValues(draft, repeatsWithin(show, choice)),
      'clean up',
      refuse('nothing repeats', {}, 'cues'),
    ),
})
