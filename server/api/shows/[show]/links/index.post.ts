/** Makes a link into the show. Its key is told this once and kept as a hash. */
import { z } from 'zod'
import { ROLES } from '#core/access/roles'
import { makeLink } from '../../../../access/links'
import { defineApi } from '../../../../http/api'
import { bodyOf } from '../../../../http/body'
import { showOf } from '../../../../http/showOf'
import { useShowRegistry } from '../../../../shows/useShowRegistry'

const A_YEAR = 24 * 366
const newLink = z.strictObject({
  role: z.enum(ROLES),
  /** Whom it is for. */
  label: z.string().trim().max(120, 'at most 120 characters'),
  /** After how many hours it ends; null where it stays until it is ended. */
  hours: z.number().int().min(1).max(A_YEAR).nullable(),
})

export default defineApi(async (event) => {
  const { show } = await showOf(event, 'owns')
  const link = await bodyOf(event, newLink)
  const { knex } = await useShowRegistry()
  return makeLink(knex, { ...link, show: show.id })
})
