/** The shows one may open. */
import { guestOf } from '../../access/guest'
import { defineApi } from '../../http/api'
import { useShowRegistry } from '../../shows/useShowRegistry'

export default defineApi(async (event) => {
  const { show } = await guestOf(event)
  const shows = await (await useShowRegistry()).shows()
  return { shows: shows.filter(({ id }) => show === null || id === show) }
})
