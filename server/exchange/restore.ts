/** Back-ups are read and written in a thread of their own, one at a time. */
import { Worker } from 'node:worker_threads'
import type { Refusal } from '#core/commands/command'
import type { ShowId } from '#core/show/ids'

export type Restored =
  | { readonly kind: 'done' }
  /** It cannot be a show, and why. */
  | { readonly kind: 'not one'; readonly why: string }
  /** The database is away, or refused it. */
  | { readonly kind: 'away' | 'refused'; readonly refusal: Refusal }

/** What a thread may hold, megabytes: the largest show there can be takes half of it. */
const ROOM = 2000

let last: Promise<unknown> = Promise.resolve()

/**
 * Makes a show of a file: `module` is the thread's script, `database` its address. Rejects when the
 * thread fails for what nobody foresaw.
 */
export function restore(module: URL, work: { file: Uint8Array; id: ShowId; database: string }): Promise<Restored> {
  const done = last.then(() => inThread(module, work))
  last = done.catch(() => undefined)
  return done
}

function inThread(module: URL, work: object): Promise<Restored> {
  return new Promise((resolve, reject) => {
    const thread = new Worker(module, { workerData: work, resourceLimits: { maxOldGenerationSizeMb: ROOM } })
    thread.once('message', (result: Restored) => resolve(result))
    thread.once('error', (error: NodeJS.ErrnoException) => {
      if (error.code !== 'ERR_WORKER_OUT_OF_MEMORY') return reject(error)
      resolve({ kind: 'not one', why: 'It holds more than this server has room for.' })
    })
    thread.once('exit', () => reject(new Error('the thread that restores ended without a word')))
  })
}
