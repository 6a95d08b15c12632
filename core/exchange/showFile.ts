/** A show as one file: what it is, and everything in it. */
import { z } from 'zod'
import { withOneColour } from './separateColours'
import { readCollections } from '../history/collections'
import { digest } from '../show/entities'
import { showRecordOf, type Show } from '../show/show'
import type { ShowId } from '../show/ids'

export const SHOW_FORMAT = 'rhopander show'
/** Goes up whenever what a show holds changes in a way older readers would not understand. */
export const SHOW_FORMAT_VERSION = 16

const head = z.looseObject({
  format: z.literal(SHOW_FORMAT),
  version: z.number().int().min(1),
  contents: z.unknown(),
  files: z.record(digest, z.string()).default({}),
})

/**
 * What the document of a show says of itself, beside its `contents`: the show in columns, or, in
 * those of version 1, in records; after them `files`, those it keeps. `madeAt` is an instant as text.
 */
export function showFileHead(show: Show, madeAt: string) {
  return { format: SHOW_FORMAT, version: SHOW_FORMAT_VERSION, name: showRecordOf(show).name, madeAt }
}

export type ReadShowFile =
  | {
      readonly ok: true
      readonly show: Show
      /** What is in the files the document carries, in base 64, by their digests; whether that is so is not looked at. */
      readonly files: Readonly<Record<string, string>>
    }
  | { readonly ok: false; readonly message: string }

/** Reads a document as a show of a new id. What is damaged or foreign is refused with the reason. */
export function readShowDocument(document: unknown, id: ShowId): ReadShowFile {
  const read = head.safeParse(document)
  if (!read.success) return { ok: false, message: 'It is not a back-up of a show.' }
  if (read.data.version > SHOW_FORMAT_VERSION)
    return { ok: false, message: 'It was made by a newer version of Rhopander. Bring this one up to date first.' }
  const contents = readCollections(read.data.contents, id, read.data.version < 4 ? withOneColour : undefined)
  if (!contents.ok) return { ok: false, message: `It is damaged. ${contents.message}` }
  return { ok: true, show: { id, all: contents.all }, files: read.data.files }
}
