/** What the server sends, checked at the border. */
import { z } from 'zod'
import { isRefusalCode, type RefusalCode } from '#core/commands/refusals'
import { checkColumns, compactCollections, expandedAll } from '#core/history/compact'
import { journalEntrySchema } from '#core/journal/entry'
import { undoState } from '#core/journal/undoState'
import { KINDS } from '#core/show/kinds'
import { showId } from '#core/show/ids'
import type { Show } from '#core/show/show'

/** A code nobody here knows is as good as none. */
const refusalCode = z.string().transform((code): RefusalCode => (isRefusalCode(code) ? code : 'internal'))
const refusal = z.object({
  code: refusalCode,
  about: z.unknown().optional(),
  message: z.string(),
  field: z.string().optional(),
})
const done = z.object({ entry: journalEntrySchema.nullable(), note: z.string().nullable() })
export type DoneEntry = z.infer<typeof done>
export const answer = done.extend({ undo: undoState })
/** Commands that were sent together, each answered for itself. */
export const answers = z.object({ answers: z.array(z.union([done, z.object({ error: refusal })])), undo: undoState })
export const entryList = z.object({ entries: z.array(journalEntrySchema).nullable() })
export const entryEvent = z.object({ entry: journalEntrySchema, undo: undoState })
export const failure = z.object({ error: refusal })
export const showList = z.object({
  shows: z.array(z.object({ id: showId, name: z.string(), venue: z.string(), revision: z.number() })),
})
export const newShow = z.object({ id: showId })

const snapshot = z.object({ id: showId, revision: z.number(), all: compactCollections })

/** A snapshot as it was sent; throws ZodError for anything else. */
function parseSnapshot(text: string): z.infer<typeof snapshot> {
  return snapshot.parse(JSON.parse(text))
}

/** Whether every value of a snapshot, as it was sent, is what it should be. */
export function isSnapshotSound(bytes: ArrayBuffer): boolean {
  try {
    const { columns } = parseSnapshot(new TextDecoder().decode(bytes)).all
    for (const kind of KINDS) if (columns[kind]) checkColumns(kind, columns[kind])
    return true
  } catch {
    return false
  }
}

/** The show of a snapshot; throws for columns that do not go together. Its values are checked by `isSnapshotSound`. */
export function readSnapshot(text: string): Snapshot {
  const { id, revision, all } = parseSnapshot(text)
  return { show: { id, all: expandedAll(all, id) }, revision }
}

export interface Snapshot {
  readonly show: Show
  readonly revision: number
}
