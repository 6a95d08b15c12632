/** The bytes of files a show keeps, by their digest: what was put in stays as long as the show. */
import type { Knex } from 'knex'
import { createHash } from 'node:crypto'
import { z } from 'zod'
import type { ShowId } from '#core/show/ids'

/** Files by their digests. */
export type StoredFiles = ReadonlyMap<string, Uint8Array>

export const digestOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex')

/** Puts files in; what is there already stays. */
export async function putFiles(knex: Knex, show: ShowId, files: Iterable<Uint8Array>): Promise<void> {
  for (const bytes of files)
    await knex('stored_file')
      .insert({ show_id: show, digest: digestOf(bytes), size: bytes.length, bytes: Buffer.from(bytes) })
      .onConflict(['show_id', 'digest'])
      .ignore()
}

const sum = z.object({ size: z.coerce.number() })

/** What all files ever kept of a show come to, bytes: they stay for undo and versions. */
export async function storedSize(knex: Knex, show: ShowId): Promise<number> {
  const found: unknown = await knex('stored_file').where({ show_id: show }).sum({ size: 'size' }).first()
  return sum.parse(found).size
}

const row = z.object({ digest: z.string(), bytes: z.instanceof(Uint8Array) })

/** Those of some files that are there. */
export async function filesOf(knex: Knex, show: ShowId, digests: readonly string[]): Promise<StoredFiles> {
  const files = new Map<string, Uint8Array>()
  for (const digest of new Set(digests)) {
    const found: unknown = await knex('stored_file').where({ show_id: show, digest }).first('digest', 'bytes')
    if (found) files.set(digest, row.parse(found).bytes)
  }
  return files
}
