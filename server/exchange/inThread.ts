/** Work that would keep everybody waiting, in a thread of its own. */
import { Worker } from 'node:worker_threads'

/** What a thread may hold, megabytes: the largest show there can be takes half of it. */
const ROOM = 2000

/** A thread needed more room than it may have. */
export class NoRoom extends Error {
  constructor() {
    super('It holds more than this server has room for.')
  }
}

/**
 * Runs the script `module` with `work` and hands out the one message it sends. Rejects with NoRoom,
 * or when the thread fails for what nobody foresaw.
 */
export function inThread<Result>(module: URL, work: object): Promise<Result> {
  return new Promise((resolve, reject) => {
    const thread = new Worker(module, { workerData: work, resourceLimits: { maxOldGenerationSizeMb: ROOM } })
    thread.once('message', (result: Result) => resolve(result))
    thread.once('error', (error: NodeJS.ErrnoException) =>
      reject(error.code === 'ERR_WORKER_OUT_OF_MEMORY' ? new NoRoom() : error),
    )
    thread.once('exit', () => reject(new Error('a thread ended without a word')))
  })
}
