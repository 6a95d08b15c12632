/** Makes links by which people come in. */
import type { Knex } from 'knex'
import { nanoid } from 'nanoid'
import type { Role } from '#core/access/roles'
import type { ShowId } from '#core/show/ids'
import { addLink } from '../database/accessRepository'
import { hashOf, newSecret } from './secrets'

export interface NewLink {
  readonly role: Role
  /** The one show it opens; null for all. */
  readonly show: ShowId | null
  /** Whom it is for. */
  readonly label: string
  /** After how many hours it ends; null where it stays until it is ended. */
  readonly hours: number | null
}

/** The link's id, and its key, which is told this once and kept as a hash. */
export async function makeLink(knex: Knex, link: NewLink): Promise<{ id: string; key: string }> {
  const id = nanoid()
  const key = newSecret()
  await addLink(knex, { ...link, id, keyHash: hashOf(key) })
  return { id, key }
}

/** The link that a start prints: into everything, until the next day. */
export const EVENING: NewLink = { role: 'owns', show: null, label: 'Printed at the start', hours: 18 }
