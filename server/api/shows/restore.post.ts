/** Makes a show of a back-up. A damaged or foreign file is refused with the reason, and nothing is changed. */
import { randomUUID } from 'node:crypto'
import { promisify } from 'node:util'
import { gunzip } from 'node:zlib'
import { readShowDocument } from '#core/exchange/showFile'
import { showId } from '#core/show/ids'
import { mustOwnAll } from '../../access/guest'
import { ApiError, defineApi } from '../../http/api'
import { bytesOf } from '../../http/body'
import { useHouse } from '../../shows/useHouse'

/** A file that is larger, or would unpack to more, is not one of ours; bytes. */
const LARGEST_FILE = 64_000_000
const LARGEST = 192_000_000

export default defineApi(async (event) => {
  await mustOwnAll(event)
  const body = await bytesOf(event, LARGEST_FILE)
  const read = readShowDocument(await unpack(body), showId.parse(randomUUID()))
  if (!read.ok) throw refused(read.message)
  await (await useHouse()).keepShow(read.show)
  return { id: read.show.id }
})

async function unpack(file: Buffer): Promise<unknown> {
  if (file.length === 0) throw refused('It is empty.')
  if (file[0] !== 0x1f || file[1] !== 0x8b) throw refused('It is not a back-up of a show.')
  try {
    const text = await promisify(gunzip)(file, { maxOutputLength: LARGEST })
    return JSON.parse(text.toString('utf8'))
  } catch {
    throw refused('It is damaged: it does not unpack to what was packed.')
  }
}

function refused(why: string): ApiError {
  return new ApiError(422, { code: 'not a back-up', message: `This file cannot be restored. ${why}` })
}
