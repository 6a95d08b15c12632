/** The whole show as one compressed file. */
import { setResponseHeaders } from 'h3'
import { defineApi } from '../../../http/api'
import { fileNameOf } from '../../../http/fileName'
import { showOf } from '../../../http/showOf'
import { backupOf } from '../../../live/snapshot'

export default defineApi(async (event) => {
  const live = await showOf(event)
  const madeAt = new Date().toISOString()
  const file = await backupOf(live, madeAt)
  setResponseHeaders(event, {
    'content-type': 'application/gzip',
    ...fileNameOf(live.show, madeAt, 'rhopander'),
  })
  return file
})
