/** The whole show as plain JSON, for other programs. */
import { sendStream, setResponseHeaders } from 'h3'
import { defineApi } from '../../../http/api'
import { fileNameOf } from '../../../http/fileName'
import { showOf } from '../../../http/showOf'
import { openJson } from '../../../live/openJson'

export default defineApi(async (event) => {
  const { show } = await showOf(event)
  const madeAt = new Date().toISOString()
  setResponseHeaders(event, { 'content-type': 'application/json', ...fileNameOf(show, madeAt, 'json') })
  return sendStream(event, openJson(show, madeAt))
})
