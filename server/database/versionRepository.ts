/** Kept versions of shows: the whole of each, compressed. */
import type { Knex } from 'knex'
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

/** A version, whose contents are compressed as they were kept. */
export interface KeptVersion {
  readonly name: string
  readonly contents: Buffer
}

/** Null when there is none of this id. */
export async function keptVersion(knex: Knex, show: ShowId, id: string): Promise<KeptVersion | null> {
  const row: KeptVersion | undefined = await knex('version').where({ show_id: show, id }).first('name', 'contents')
  return row ?? null
}

export async function dropVersion(knex: Knex, show: ShowId, id: string): Promise<void> {
  await knex('version').where({ show_id: show, id }).delete()
}
