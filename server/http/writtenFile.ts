/** A file that was written for other programs, as it is answered. */
import type { Written } from '../exchange/writeInThread'
import { ApiError } from './api'

/** Throws ApiError where something that was kept is damaged. */
export function writtenFile(written: Written): Buffer {
  if (written.ok) return Buffer.from(written.file)
  const message = `This cannot be written: ${written.why}. Let go of that file (in the Rig room, beside the venue or at its type), and write it again.`
  throw new ApiError(422, { code: 'cannot be written', message })
}
