/** The whole show for a page that opens it, and who the page is. */
import { setResponseHeaders } from 'h3'
import { defineApi } from '../../../http/api'
import { personOf } from '../../../access/guest'
import { showOf } from '../../../http/showOf'
import { snapshotOf } from '../../../live/snapshot'
import { useHouse } from '../../../shows/useHouse'

export default defineApi(async (event) => {
  const live = await showOf(event)
  const person = await personOf(event)
  const { clock } = await useHouse()
  const undo = await live.undoState(person)
  const { show, revision } = live
  const body = await snapshotOf(show, { id: show.id, revision, person, now: clock.read(), undo })
  setResponseHeaders(event, { 'content-type': 'application/json', 'content-encoding': 'gzip' })
  return body
})
