/** What the server sends, checked at the border. */
import { z } from 'zod'
import { journalEntrySchema } from '#core/journal/entry'
import { ENTITY_SCHEMAS, KINDS, type EntityOf, type Kind } from '#core/show/entities'
import { changeGroupId, personId, showId } from '#core/show/ids'
import { emptyShow, type Collections, type Show } from '#core/show/show'

const step = z.object({ group: changeGroupId, label: z.string() }).nullable()
export const undoState = z.object({ undo: step, redo: step })
export type UndoState = z.infer<typeof undoState>

const refusal = z.object({ code: z.string(), message: z.string(), field: z.string().optional() })
const done = z.object({ entry: journalEntrySchema.nullable(), note: z.string().nullable() })
export type Done = z.infer<typeof done>
export const answer = done.extend({ undo: undoState })
/** Commands that were sent together, each answered for itself. */
export const answers = z.object({ answers: z.array(z.union([done, z.object({ error: refusal })])), undo: undoState })
export const entryList = z.object({ entries: z.array(journalEntrySchema).nullable() })
export const joined = z.object({ person: personId })
export const entryEvent = z.object({ entry: journalEntrySchema, undo: undoState })
export const failure = z.object({ error: refusal })
export const showList = z.object({
  shows: z.array(z.object({ id: showId, name: z.string(), venue: z.string(), revision: z.number() })),
})
export const newShow = z.object({ id: showId })

const snapshot = z.object({
  id: showId,
  revision: z.number(),
  person: personId,
  /** What the server's clock said, milliseconds since 1970. */
  now: z.number(),
  undo: undoState,
  all: z.partialRecord(z.enum(KINDS), z.array(z.tuple([z.string(), z.unknown()]))),
})

const SCHEMAS: { readonly [K in Kind]: z.ZodType<EntityOf[K]> } = ENTITY_SCHEMAS

/** Reads the whole show out of the answer to opening it. */
export function readSnapshot(body: unknown) {
  const { id, revision, person, now, undo, all } = snapshot.parse(body)
  let collections: Collections = emptyShow(id).all
  for (const kind of KINDS) collections = { ...collections, [kind]: readKind(kind, all[kind] ?? []) }
  const show: Show = { id, all: collections }
  return { show, revision, person, now, undo }
}

function readKind<K extends Kind>(kind: K, rows: readonly (readonly [string, unknown])[]): Map<string, EntityOf[K]> {
  return new Map(rows.map(([id, entity]) => [id, SCHEMAS[kind].parse(entity)]))
}
