/** The whole show as one compressed file. */
import { setResponseHeaders } from 'h3'
import { showRecordOf } from '#core/show/show'
import { defineApi } from '../../../http/api'
import { showOf } from '../../../http/showOf'
import { backupOf } from '../../../live/snapshot'

export default defineApi(async (event) => {
  const live = await showOf(event)
  const madeAt = new Date().toISOString()
  const file = await backupOf(live, madeAt)
  const name = `${showRecordOf(live.show).name} ${madeAt.slice(0, 16).replace(/[T:]/g, '-')}`.replace(
    /[^\p{L}\p{N} _-]/gu,
    '',
  )
  setResponseHeaders(event, {
    'content-type': 'application/gzip',
    'content-disposition': `attachment; filename="show.rhopander"; filename*=UTF-8''${encodeURIComponent(name)}.rhopander`,
  })
  return file
})
