/** Begins to open the show of the address while the pages that show it are still being loaded. */
import { showId } from '#core/show/ids'
import { useShow } from '../stores/show'

export default defineNuxtPlugin(() => {
  const [, part, id] = window.location.pathname.split('/')
  const show = showId.safeParse(id)
  if (part === 'shows' && show.success) void useShow().open(show.data)
})
