/** The whole show as plain JSON, for other programs. */
import { sendStream, setResponseHeaders } from 'h3'
import { keptDigests } from '#core/show/keptFiles'
import { filesOf } from '../../../database/fileRepository'
import { defineApi } from '../../../http/api'
import { fileNameOf } from '../../../http/fileName'
import { showOf } from '../../../http/showOf'
import { openJson } from '../../../live/openJson'
import { useShowRegistry } from '../../../shows/useShowRegistry'

export default defineApi(async (event) => {
  const { show } = await showOf(event)
  const madeAt = new Date().toISOString()
  const { knex } = await useShowRegistry()
  const files = await filesOf(knex, show.id, keptDigests(show))
  setResponseHeaders(event, { 'content-type': 'application/json', ...fileNameOf(show, madeAt, 'json') })
  return sendStream(event, openJson(show, files, madeAt))
})
