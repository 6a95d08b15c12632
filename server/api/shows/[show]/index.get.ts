/** The whole show for a page that opens it. */
import { setResponseHeaders } from 'h3'
import { defineApi } from '../../../http/api'
import { showOf } from '../../../http/showOf'
import { snapshotOf } from '../../../live/snapshot'

export default defineApi(async (event) => {
  const body = await snapshotOf(await showOf(event))
  setResponseHeaders(event, { 'content-type': 'application/json', 'content-encoding': 'gzip' })
  return body
})
