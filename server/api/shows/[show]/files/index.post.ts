/** Puts a file in that something of the show will speak of, by its digest: until a command does, nobody sees it. */
import { MOST_KEPT } from '#core/show/entities'
import { digestOf, putFiles } from '../../../../database/fileRepository'
import { ApiError, defineApi } from '../../../../http/api'
import { bytesOf } from '../../../../http/body'
import { showOf } from '../../../../http/showOf'
import { useShowRegistry } from '../../../../shows/useShowRegistry'

export default defineApi(async (event) => {
  const { show } = await showOf(event, 'programs')
  const bytes = await bytesOf(event, MOST_KEPT)
  if (bytes.length === 0) throw new ApiError(422, { code: 'bad input', message: 'This file is empty.' })
  const { knex } = await useShowRegistry()
  await putFiles(knex, show.id, [bytes])
  return { digest: digestOf(bytes), size: bytes.length }
})
