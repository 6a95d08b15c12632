/** Puts a file in that something of the show will speak of, by its digest: until a command does, nobody sees it. */
import { MOST_KEPT } from '#core/show/entities'
import { digestOf, putFiles, storedSize } from '../../../../database/fileRepository'
import { ApiError, defineApi } from '../../../../http/api'
import { bytesOf } from '../../../../http/body'
import { showOf } from '../../../../http/showOf'
import { useShowRegistry } from '../../../../shows/useShowRegistry'

/** Bytes of a show, with all that undo and versions may bring back. */
const MOST_STORED = 1_000_000_000

export default defineApi(async (event) => {
  const { show } = await showOf(event, 'programs')
  const bytes = await bytesOf(event, MOST_KEPT)
  if (bytes.length === 0) throw new ApiError(422, { code: 'bad input', message: 'This file is empty.' })
  const { knex } = await useShowRegistry()
  if ((await storedSize(knex, show.id)) + bytes.length > MOST_STORED)
    throw new ApiError(413, {
      code: 'too large',
      message: `The files kept with this show since it was made come to ${MOST_STORED / 1_000_000} MB: there is no room for another one. Take it without keeping it.`,
    })
  await putFiles(knex, show.id, [bytes])
  return { digest: digestOf(bytes), size: bytes.length }
})
