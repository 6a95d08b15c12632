/**
 * What is in a file that was put in for a show, whether or not something speaks of it yet: who puts it in
 * shows it before everybody else. It never changes, since it is known by what is in it.
 */
import { setResponseHeaders } from 'h3'
import { digest } from '#core/show/entities'
import { filesOf } from '../../../../database/fileRepository'
import { ApiError, defineApi, paramOf } from '../../../../http/api'
import { showOf } from '../../../../http/showOf'
import { useShowRegistry } from '../../../../shows/useShowRegistry'

/** Pictures are shown as such; whatever else is in a file, no browser does anything with it. */
const PICTURES = [
  { type: 'image/png', begins: [0x89, 0x50, 0x4e, 0x47] },
  { type: 'image/jpeg', begins: [0xff, 0xd8, 0xff] },
] as const

export default defineApi(async (event) => {
  const { show } = await showOf(event)
  const wanted = paramOf(event, 'digest', digest)
  const { knex } = await useShowRegistry()
  const bytes = (await filesOf(knex, show.id, [wanted])).get(wanted)
  if (!bytes) throw new ApiError(404, { code: 'not found', message: 'The show keeps no such file.' })
  const picture = PICTURES.find(({ begins }) => begins.every((byte, i) => bytes[i] === byte))
  setResponseHeaders(event, {
    'content-type': picture?.type ?? 'application/octet-stream',
    'cache-control': 'private, max-age=31536000, immutable',
  })
  return Buffer.from(bytes)
})
