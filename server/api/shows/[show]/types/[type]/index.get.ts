/** A fixture type as a file, for other programs. */
import { setResponseHeaders } from 'h3'
import { typeIn } from '#core/exchange/mvr/planTypes'
import { fixtureTypeId } from '#core/show/ids'
import { writeInThread } from '../../../../../exchange/writeInThread'
import { ApiError, defineApi, paramOf } from '../../../../../http/api'
import { showOf } from '../../../../../http/showOf'
import { writtenFile } from '../../../../../http/writtenFile'
import { useShowRegistry } from '../../../../../shows/useShowRegistry'

/** The build puts the thread beside the server; where that is, is known only once the server has been loaded. */
const writeRigThread = () => new URL('./writeRigThread.mjs', import.meta.url)

export default defineApi(async (event) => {
  const live = await showOf(event)
  const id = paramOf(event, 'type', fixtureTypeId)
  const type = typeIn(live.show, id)
  if (!type) throw new ApiError(404, { code: 'not found', message: 'There is no such type in this show.' })
  const { knex } = await useShowRegistry()
  const written = await writeInThread(writeRigThread(), knex, live, id)
  const file = writtenFile(written)
  setResponseHeaders(event, {
    'content-type': 'application/zip',
    'content-disposition': `attachment; filename="type.gdtf"; filename*=UTF-8''${encodeURIComponent(`${type.maker}@${type.name}`)}.gdtf`,
  })
  return file
})
