/** The thread that writes a rig file or a fixture type, so that nobody waits for a large one. */
import { parentPort, workerData } from 'node:worker_threads'
import { gunzipSync } from 'node:zlib'
import { z } from 'zod'
import { readCollections } from '#core/history/collections'
import { fixtureTypeId, showId } from '#core/show/ids'
import { reasonOf } from './rigFile'
import type { Written } from './writeInThread'
import { writeRigFile, writeTypeFile } from './writeRigFile'

const bytes = z.instanceof(Uint8Array)
const work = z.object({
  show: showId,
  contents: bytes,
  stored: z.map(z.string(), bytes),
  /** Null for the whole rig. */
  type: fixtureTypeId.nullable(),
})
const record = z.object({ contents: z.unknown() })

async function written(): Promise<Written> {
  const { show: id, contents, stored, type } = work.parse(workerData)
  const read = readCollections(record.parse(JSON.parse(gunzipSync(contents).toString('utf8'))).contents, id)
  if (!read.ok) throw new RangeError(`the show as it is cannot be read: ${read.message}`)
  const show = { id, all: read.all }
  try {
    return {
      ok: true,
      file: type === null ? await writeRigFile(show, stored) : await writeTypeFile(show, type, stored),
    }
  } catch (error) {
    return { ok: false, why: reasonOf(error) }
  }
}

written().then(
  (result) => parentPort?.postMessage(result),
  (error: unknown) => {
    throw error
  },
)
