/** The links that let people into the show, and the addresses at which this server can be reached. */
import { listLinks } from '../../../../database/accessRepository'
import { guestOf } from '../../../../access/guest'
import { defineApi } from '../../../../http/api'
import { showOf } from '../../../../http/showOf'
import { useShowRegistry } from '../../../../shows/useShowRegistry'

export default defineApi(async (event) => {
  const { show } = await showOf(event, 'owns')
  const { show: only } = await guestOf(event)
  const { knex } = await useShowRegistry()
  const addresses = useRuntimeConfig(event).addresses.split(' ').filter(Boolean)
  return { addresses, links: await listLinks(knex, show.id, only === null ? 'those into all' : 'no others') }
})
