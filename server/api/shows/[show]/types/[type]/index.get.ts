/** A fixture type as a file, for other programs. */
import { setResponseHeaders } from 'h3'
import { typeIn } from '#core/exchange/mvr/planTypes'
import { uuidOf } from '#core/exchange/uuid'
import { fixtureTypeId } from '#core/show/ids'
import { writeTypeFile } from '../../../../../exchange/rigFile'
import { ApiError, defineApi, paramOf } from '../../../../../http/api'
import { showOf } from '../../../../../http/showOf'

export default defineApi(async (event) => {
  const { show } = await showOf(event)
  const id = paramOf(event, 'type', fixtureTypeId)
  const type = typeIn(show, id)
  if (!type) throw new ApiError(404, { code: 'not found', message: 'There is no such type in this show.' })
  setResponseHeaders(event, {
    'content-type': 'application/zip',
    'content-disposition': `attachment; filename="type.gdtf"; filename*=UTF-8''${encodeURIComponent(`${type.maker}@${type.name}`)}.gdtf`,
  })
  return Buffer.from(await writeTypeFile(type, uuidOf(id)))
})
