/** What is carried stands by itself from here on: earlier changes end before it. */
import { z } from 'zod'
import { block } from '../../cues/editing'
import { command, refuse } from '../command'
import { cells, onCells } from '../shared/cells'

export const blockInCues = command({
  input: z.strictObject(cells),
  undoable: true,
  run: (show, choice) =>
    onCells(show, choice, (draft) => block(show, draft, choice), 'block', refuse('nothing to block', {}, 'cues')),
})
