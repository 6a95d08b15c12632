/** The shows one may open. */
import { guestOf } from '../../access/guest'
import { defineApi } from '../../http/api'
import { useHouse } from '../../shows/useHouse'

export default defineApi(async (event) => {
  const { show } = await guestOf(event)
  const shows = await (await useHouse()).shows()
  return { shows: shows.filter(({ id }) => show === null || id === show) }
})
