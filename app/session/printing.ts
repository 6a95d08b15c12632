/** A print that is made beside the page; it can be stopped. */
import { proxy, wrap } from 'comlink'
import type { Show } from '#core/show/show'
import type { PrintedPapers, PrintJob, PrintProgress, printShow } from './printShow'

export interface Printing {
  /** Null where there was nothing to print. Rejects where it failed; never settles once it was stopped. */
  readonly printed: Promise<PrintedPapers | null>
  readonly stop: () => void
}

export function beginPrinting(show: Show, job: PrintJob, tell: (progress: PrintProgress) => void): Printing {
  const worker = new Worker(new URL('../workers/print.worker.ts', import.meta.url), { type: 'module' })
  const remote = wrap<{ printShow: typeof printShow }>(worker)
  const fallen = new Promise<never>((_, reject) =>
    worker.addEventListener('error', () => reject(new Error('this machine has no room for so many pages'))),
  )
  const printed = Promise.race([remote.printShow(show, job, proxy(tell)), fallen]).finally(() => worker.terminate())
  return { printed, stop: () => worker.terminate() }
}
