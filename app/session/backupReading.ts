/** A back-up that is being read beside the page; it can be stopped. */
import { wrap } from 'comlink'
import type { ReadShowFile } from '#core/exchange/showFile'
import { readBackup } from './readBackup'

export interface BackupReading {
  /** Null where it was stopped. */
  readonly read: Promise<ReadShowFile | null>
  readonly stop: () => void
}

/** Reads in a worker; where there are none, as in tests outside a browser, the same in place. */
export function beginReadingBackup(file: File): BackupReading {
  if (typeof Worker === 'undefined') return { read: readBackup(file), stop: () => undefined }
  const worker = new Worker(new URL('../workers/backup.worker.ts', import.meta.url), { type: 'module' })
  const remote = wrap<{ readBackup: typeof readBackup }>(worker)
  let stop: () => void = () => undefined
  const stopped = new Promise<null>((resolve) => (stop = () => resolve(null)))
  const fallen = new Promise<ReadShowFile>((resolve) =>
    worker.addEventListener('error', () =>
      resolve({ ok: false, message: 'Reading it was cut off: it may be larger than this machine can hold.' }),
    ),
  )
  const read = Promise.race([remote.readBackup(file), stopped, fallen]).finally(() => worker.terminate())
  return { read, stop }
}
