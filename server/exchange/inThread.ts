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

/** A thread took longer than it may. */
export class TooLong extends Error {
  constructor() {
    super('It takes longer than this server gives it.')
  }
}

/** How long a thread may take, milliseconds, and what stops it before. */
export interface ThreadLimits {
  readonly longest?: number
  readonly stopped?: AbortSignal
}

/**
 * Runs the script `module` with `work` and hands out the one message it sends. Rejects with NoRoom or
 * TooLong, when it is stopped, or when the thread fails for what nobody foresaw.
 */
export function inThread<Result>(module: URL, work: object, { longest, stopped }: ThreadLimits = {}): Promise<Result> {
  return new Promise((resolve, reject) => {
    const thread = new Worker(module, { workerData: work, resourceLimits: { maxOldGenerationSizeMb: ROOM } })
    const end = (why: Error) => {
      reject(why)
      void thread.terminate()
    }
    const tooLong = longest === undefined ? undefined : setTimeout(() => end(new TooLong()), longest)
    const onStop = () => end(new Error('nobody waits for it any more'))
    stopped?.addEventListener('abort', onStop, { once: true })
    thread.once('message', (result: Result) => resolve(result))
    thread.once('error', (error: NodeJS.ErrnoException) =>
      reject(error.code === 'ERR_WORKER_OUT_OF_MEMORY' ? new NoRoom() : error),
    )
    thread.once('exit', () => {
      clearTimeout(tooLong)
      stopped?.removeEventListener('abort', onStop)
      reject(new Error('a thread ended without a word'))
    })
  })
}
