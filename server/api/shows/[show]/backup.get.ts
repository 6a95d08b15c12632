/** The whole show as one compressed file. */
import { setResponseHeaders } from 'h3'
import { keptDigests } from '#core/show/keptFiles'
import { filesOf } from '../../../database/fileRepository'
import { defineApi } from '../../../http/api'
import { fileNameOf } from '../../../http/fileName'
import { showOf } from '../../../http/showOf'
import { backupOf } from '../../../live/snapshot'
import { useShowRegistry } from '../../../shows/useShowRegistry'

export default defineApi(async (event) => {
  const live = await showOf(event)
  const { show } = live
  const madeAt = new Date().toISOString()
  const { knex } = await useShowRegistry()
  const files = await filesOf(knex, show.id, keptDigests(show))
  const file = await backupOf(live, show, files, madeAt)
  setResponseHeaders(event, {
    'content-type': 'application/gzip',
    ...fileNameOf(show, madeAt, 'rhopander'),
  })
  return file
})
