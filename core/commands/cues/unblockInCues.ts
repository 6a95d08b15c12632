/** Lets what was blocked be carried again. */
import { z } from 'zod'
import { unblock } from '../../cues/editing'
import { command, refuse } from '../command'
import { cells, onCells } from '../shared/cells'

export const unblockInCues = command({
  input: z.strictObject(cells),
  undoable: true,
  run: (show, choice) =>
    onCells(show, choice, (draft) => unblock(show, draft, choice), 'unblock', refuse('nothing blocked', {}, 'cues')),
})
