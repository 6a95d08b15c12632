/** Takes out what cues set, which is not to set it to nothing: what is carried comes through. */
import { z } from 'zod'
import { setWithin } from '../../cues/editing'
import { command, refuse } from '../command'
import { cells, onCells, removeValues } from '../shared/cells'

export const takeOutOfCues = command({
  input: z.strictObject(cells),
  undoable: true,
  run: (show, choice) =>
    onCells(
      show,
      choice,
      (draft) => removeValues(draft, setWithin(show, choice)),
      'take out',
      refuse('cues set none', { families: choice.families }, 'cues'),
    ),
})
