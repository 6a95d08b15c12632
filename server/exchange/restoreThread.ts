/** The thread that reads a back-up and writes it into the database, so that nobody waits for a large one. */
import createKnex from 'knex'
import { promisify } from 'node:util'
import { parentPort, workerData } from 'node:worker_threads'
import { gunzip } from 'node:zlib'
import { z } from 'zod'
import { readShowDocument } from '#core/exchange/showFile'
import { showId } from '#core/show/ids'
import { keptFilesOf } from '#core/show/keptFiles'
import type { Show } from '#core/show/show'
import { databaseFault } from '../database/faults'
import { digestOf } from '../database/fileRepository'
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

/** The files a show keeps, or the name of the first that is not there whole. */
function filesFor(show: Show, carried: Readonly<Record<string, string>>): Uint8Array[] | string {
  const files = new Map<string, Uint8Array>()
  for (const { name, digest, size } of keptFilesOf(show)) {
    const bytes = files.get(digest) ?? Buffer.from(carried[digest] ?? '', 'base64')
    if (bytes.length !== size || digestOf(bytes) !== digest) return name
    files.set(digest, bytes)
  }
  return [...files.values()]
}

async function written(show: Show, files: readonly Uint8Array[], database: string): Promise<Restored> {
  const knex = createKnex({ client: 'pg', connection: database, pool: { min: 0, max: 1 } })
  try {
    await knex.transaction((transaction) => writeWholeShow(transaction, show, files))
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
  if (!read.ok) return { kind: 'not one', why: read.message }
  const files = filesFor(read.show, read.files)
  if (typeof files === 'string')
    return { kind: 'not one', why: `It is damaged: the file “${files}” that the show keeps is not whole in it.` }
  return written(read.show, files, database)
}

restored().then(
  (result) => parentPort?.postMessage(result),
  (error: unknown) => {
    throw error
  },
)
