/** What a person can undo and redo next, by group and in words. */
import { z } from 'zod'
import { changeGroupId } from '../show/ids'

const step = z.object({ group: changeGroupId, label: z.string() }).readonly().nullable()
export const undoState = z.object({ undo: step, redo: step }).readonly()
export type UndoState = z.infer<typeof undoState>
