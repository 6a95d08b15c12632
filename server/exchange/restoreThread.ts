/** The thread that reads a back-up and writes it into the database, so that nobody waits for a large one. */
import createKnex from 'knex'
import { promisify } from 'node:util'
import { parentPort, workerData } from 'node:worker_threads'
import { gunzip } from 'node:zlib'
import { z } from 'zod'
import { readShowDocument } from '#core/exchange/showFile'
import { showId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { databaseFault } from '../database/faults'
import { writeWholeShow } from '../database/showRepository'
import type { Restored } from './restore'

/** A file that would unpack to more is not one of ours; bytes. */
const LARGEST = 192_000_000

const work = z.object({ file: z.instanceof(Uint8Array), id: showId, database: z.string() })

/** Whether a file is packed; else it is the plain JSON of a show. */
const isPacked = (file: Uint8Array) => file[0] === 0x1f && file[1] === 0x8b

async function unpacked(file: Uint8Array): Promise<unknown> {
  try {
    const text = isPacked(file) ? await promisify(gunzip)(file, { maxOutputLength: LARGEST }) : Buffer.from(file)
    return JSON.parse(text.toString('utf8'))
  } catch {
    return undefined
  }
}

async function written(show: Show, database: string): Promise<Restored> {
  const knex = createKnex({ client: 'pg', connection: database, pool: { min: 0, max: 1 } })
  try {
    await knex.transaction((transaction) => writeWholeShow(transaction, show))
    return { kind: 'done' }
  } catch (error) {
    const fault = databaseFault(error)
    if (!fault) throw error
    return fault
  } finally {
    await knex.destroy()
  }
}

async function restored(): Promise<Restored> {
  const { file, id, database } = work.parse(workerData)
  const document = await unpacked(file)
  const damage = isPacked(file) ? 'it does not unpack to what was packed' : 'it is no whole JSON'
  if (document === undefined) return { kind: 'not one', why: `It is damaged: ${damage}.` }
  const read = readShowDocument(document, id)
  return read.ok ? written(read.show, database) : { kind: 'not one', why: read.message }
}

restored().then(
  (result) => parentPort?.postMessage(result),
  (error: unknown) => {
    throw error
  },
)
