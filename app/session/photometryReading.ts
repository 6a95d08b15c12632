/** A photometric file that is being read beside the page. */
import { LARGEST_PHOTOMETRY, type PhotometryReading } from '#core/exchange/photometry/photometry'
import { beginReading, type Reading } from './beginReading'
import type { readPhotometryFile } from './readPhotometryFile'

export function beginReadingPhotometry(file: File): Reading<PhotometryReading> {
  const worker = new Worker(new URL('../workers/photometry.worker.ts', import.meta.url), { type: 'module' })
  return beginReading<{ readPhotometryFile: typeof readPhotometryFile }, PhotometryReading>(
    worker,
    (remote) => remote.readPhotometryFile(file),
    { ok: false, message: `Reading it was cut off: more than ${LARGEST_PHOTOMETRY / 1e6} MB cannot be read.` },
  )
}
