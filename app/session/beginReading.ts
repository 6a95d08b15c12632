/** Something that is read beside the page; it can be stopped. */
import { wrap, type Remote } from 'comlink'

export interface Reading<T> {
  /** Null where it was stopped. */
  readonly read: Promise<T | null>
  readonly stop: () => void
}

/** Asks a worker, which ends with its answer; `cutOff` is the answer where it falls over, as for want of memory. */
export function beginReading<Api, T>(worker: Worker, ask: (remote: Remote<Api>) => Promise<T>, cutOff: T): Reading<T> {
  let stop: () => void = () => undefined
  const stopped = new Promise<null>((resolve) => (stop = () => resolve(null)))
  const fallen = new Promise<T>((resolve) => worker.addEventListener('error', () => resolve(cutOff)))
  const read = Promise.race([ask(wrap<Api>(worker)), stopped, fallen]).finally(() => worker.terminate())
  return { read, stop }
}
