/** The journal: what was done to a show, by whom, in order. It only grows. */
import { z } from 'zod'
import { changeSetSchema } from '../show/changes'
import { changeGroupId, commandId, personId, windowId } from '../show/ids'

export const ENTRY_KINDS = ['do', 'undo', 'redo', 'waive'] as const

/**
 * One entry. `group` is what undo takes back as one: of a `do` its own group, of an `undo`,
 * `redo` or `waive` the group it speaks of.
 */
export const journalEntrySchema = z.strictObject({
  id: commandId,
  seq: z.number().int().positive(),
  person: personId,
  window: windowId,
  at: z.iso.datetime(),
  kind: z.enum(ENTRY_KINDS),
  group: changeGroupId,
  label: z.string(),
  undoable: z.boolean(),
  mergeKey: z.string().nullable(),
  changes: changeSetSchema,
})

export type JournalEntry = z.infer<typeof journalEntrySchema>
