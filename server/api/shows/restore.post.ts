/** Makes a show of a back-up. A damaged or foreign file is refused with the reason, and nothing is changed. */
import { randomUUID } from 'node:crypto'
import { showId } from '#core/show/ids'
import { mustOwnAll } from '../../access/guest'
import { restore } from '../../exchange/restore'
import { ApiError, defineApi } from '../../http/api'
import { bytesOf } from '../../http/body'

/** A file that is larger is not one of ours; bytes. */
const LARGEST_FILE = 64_000_000

/** A show as plain JSON begins with it: {. */
const OPENING = 0x7b

/** The build puts the thread beside the server; where that is, is known only once the server has been loaded. */
const restoreThread = () => new URL('./restoreThread.mjs', import.meta.url)

export default defineApi(async (event) => {
  await mustOwnAll(event)
  const file = await bytesOf(event, LARGEST_FILE)
  if (file.length === 0) throw refused('It is empty.')
  const isOurs = (file[0] === 0x1f && file[1] === 0x8b) || file[0] === OPENING
  if (!isOurs) throw refused('It is not a back-up of a show.')
  const id = showId.parse(randomUUID())
  const restored = await restore(restoreThread(), { file, id, database: useRuntimeConfig().databaseUrl })
  switch (restored.kind) {
    case 'done':
      return { id }
    case 'not one':
      throw refused(restored.why)
    case 'away':
      throw new ApiError(503, restored.refusal)
    case 'refused':
      throw new ApiError(422, restored.refusal)
  }
})

function refused(why: string): ApiError {
  return new ApiError(422, { code: 'not a back-up', message: `This file cannot be restored. ${why}` })
}
