/** Kept versions of shows: the whole of each, compressed. */
import type { Knex } from 'knex'
import { promisify } from 'node:util'
import { gunzip } from 'node:zlib'
import { z } from 'zod'
import type { PersonId, ShowId } from '#core/show/ids'

/** How many versions made by themselves are kept; those with a name stay until they are taken out. */
const MOST_AUTOMATIC = 20

export interface Version {
  readonly id: string
  readonly name: string
  readonly at: string
  readonly person: string
  readonly automatic: boolean
  readonly revision: number
}

const stored = z.object({
  id: z.string(),
  name: z.string(),
  at: z.date().transform((at) => at.toISOString()),
  person: z.string(),
  automatic: z.boolean(),
  revision: z.number(),
})

/** The versions of a show, newest first. */
export async function listVersions(knex: Knex, show: ShowId): Promise<Version[]> {
  const rows: unknown = await knex('version')
    .where({ show_id: show })
    .orderBy([{ column: 'at', order: 'desc' }, 'id'])
    .select('id', 'name', 'at', 'person', 'automatic', 'revision')
  return z.array(stored).parse(rows)
}

export async function keepVersion(
  knex: Knex,
  show: ShowId,
  version: {
    readonly id: string
    readonly name: string
    readonly person: PersonId
    readonly automatic: boolean
    readonly revision: number
    /** A compressed JSON record; its `contents` are the whole show. */
    readonly contents: Buffer
  },
): Promise<void> {
  await knex('version').insert({ show_id: show, ...version })
  if (!version.automatic) return
  const kept = knex('version')
    .where({ show_id: show, automatic: true })
    .orderBy('at', 'desc')
    .limit(MOST_AUTOMATIC)
    .select('id')
  await knex('version').where({ show_id: show, automatic: true }).whereNotIn('id', kept).delete()
}

const wrappedContents = z.object({ id: z.string(), contents: z.object({ columns: z.unknown() }) })

/** What a version holds, as `readCollections` takes it; null when there is none of this id. */
export async function versionContents(
  knex: Knex,
  show: ShowId,
  id: string,
): Promise<{ name: string; contents: unknown } | null> {
  const row: { name: string; contents: Buffer } | undefined = await knex('version')
    .where({ show_id: show, id })
    .first('name', 'contents')
  if (!row) return null
  const text = await promisify(gunzip)(row.contents)
  const stored: unknown = JSON.parse(text.toString('utf8'))
  // Versions of before are the contents alone.
  const wrapped = wrappedContents.safeParse(stored)
  return { name: row.name, contents: wrapped.success ? wrapped.data.contents : stored }
}

export async function dropVersion(knex: Knex, show: ShowId, id: string): Promise<void> {
  await knex('version').where({ show_id: show, id }).delete()
}
