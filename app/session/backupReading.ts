/** A back-up that is being read beside the page. */
import type { ReadShowFile } from '#core/exchange/showFile'
import { beginReading, type Reading } from './beginReading'
import { readBackup } from './readBackup'

export type BackupReading = Reading<ReadShowFile>

/** Reads in a worker; where there are none, as in tests outside a browser, the same in place. */
export function beginReadingBackup(file: File): BackupReading {
  if (typeof Worker === 'undefined') return { read: readBackup(file), stop: () => undefined }
  const worker = new Worker(new URL('../workers/backup.worker.ts', import.meta.url), { type: 'module' })
  return beginReading<{ readBackup: typeof readBackup }, ReadShowFile>(worker, (remote) => remote.readBackup(file), {
    ok: false,
    message: 'Reading it was cut off: it may be larger than this machine can hold.',
  })
}
