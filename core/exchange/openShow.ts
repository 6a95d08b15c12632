/** A show as plain JSON that any program can read, and what that JSON is, as a JSON Schema. */
import { z } from 'zod'
import { plainCollections } from '../history/collections'
import { digest } from '../show/entities'
import { declarationOf, KINDS, schemaOf } from '../show/kinds'
import type { Show } from '../show/show'
import { SHOW_FORMAT, SHOW_FORMAT_VERSION, showFileHead } from './showFile'

/** The whole show, every record under its id; it is read back as a back-up is. `madeAt` is an instant as text. */
export function openShowDocument(show: Show, madeAt: string) {
  return { ...showFileHead(show, madeAt), contents: plainCollections(show) }
}

/** What such a document is: JSON Schema 2020-12, made from what the program itself checks by. */
export function openShowSchema(): object {
  const id = z.string().regex(/^[^/\s]{1,600}$/)
  const kinds = KINDS.map((kind) => {
    const [, words] = declarationOf(kind).words
    return [kind, z.array(z.tuple([id, schemaOf(kind)])).describe(`${words}, each with its id before it`)] as const
  })
  const document = z.object({
    format: z.literal(SHOW_FORMAT),
    version: z.literal(SHOW_FORMAT_VERSION),
    name: z.string().describe('the name of the show, for people'),
    madeAt: z.iso.datetime(),
    contents: z.object(Object.fromEntries(kinds)),
    files: z
      .record(digest, z.string())
      .optional()
      .describe('the files the show keeps: what is in them in base 64, each under its SHA-256'),
  })
  // What only code can tell, as which attributes there are, is any text there.
  return z.toJSONSchema(document, { unrepresentable: 'any' })
}
