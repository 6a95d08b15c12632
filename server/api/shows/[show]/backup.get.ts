/** The whole show as one compressed file. */
import { setResponseHeaders } from 'h3'
import { promisify } from 'node:util'
import { gzip } from 'node:zlib'
import { showDocument } from '#core/exchange/showFile'
import { showRecordOf } from '#core/show/show'
import { defineApi } from '../../../http/api'
import { showOf } from '../../../http/showOf'

export default defineApi(async (event) => {
  const { show } = await showOf(event)
  const madeAt = new Date().toISOString()
  const file = await promisify(gzip)(JSON.stringify(showDocument(show, madeAt)))
  const name = `${showRecordOf(show).name} ${madeAt.slice(0, 16).replace(/[T:]/g, '-')}`.replace(
    /[^\p{L}\p{N} _-]/gu,
    '',
  )
  setResponseHeaders(event, {
    'content-type': 'application/gzip',
    'content-disposition': `attachment; filename="show.rhopander"; filename*=UTF-8''${encodeURIComponent(name)}.rhopander`,
  })
  return file
})
