/** Ends a link: whoever came in by it is out at once. */
import { z } from 'zod'
import { guestOf } from '../../../../access/guest'
import { endLink } from '../../../../database/accessRepository'
import { ApiError, defineApi, paramOf } from '../../../../http/api'
import { showOf } from '../../../../http/showOf'
import { closeLinesOf } from '../../../../http/streams'
import { useShowRegistry } from '../../../../shows/useShowRegistry'

const linkId = z.string().regex(/^[\w-]{1,100}$/)

export default defineApi(async (event) => {
  const { show } = await showOf(event, 'owns')
  const { show: only } = await guestOf(event)
  const { knex } = await useShowRegistry()
  const ended = await endLink(knex, paramOf(event, 'link', linkId), only === null ? [show.id, null] : [show.id])
  if (!ended) throw new ApiError(404, { code: 'not found', message: 'There is no such link here any more.' })
  await closeLinesOf(ended)
  return {}
})
