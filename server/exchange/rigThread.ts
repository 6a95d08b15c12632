/** The thread that reads a rig file or a drawing, so that nobody waits for a large or a bad one. */
import { parentPort, workerData } from 'node:worker_threads'
import { z } from 'zod'
import { isDrawing, UPS } from '#core/exchange/drawing/units'
import { AXES } from '#core/exchange/gdtf/readType'
import { readDrawingFile } from './drawingFile'
import { reasonOf, readRigFile } from './rigFile'
import type { LookedAt } from './lookAtRig'

const work = z.object({
  file: z.instanceof(Uint8Array),
  name: z.string(),
  leftHanded: z.array(z.enum(AXES)),
  up: z.enum(UPS),
})

async function lookedAt(): Promise<LookedAt> {
  const { file, name, leftHanded, up } = work.parse(workerData)
  try {
    const reading = isDrawing(name) ? readDrawingFile(file, name, up) : readRigFile(file, name, { leftHanded })
    return { ok: true, reading: await reading }
  } catch (error) {
    return { ok: false, why: reasonOf(error) }
  }
}

lookedAt().then(
  (result) => parentPort?.postMessage(result),
  (error: unknown) => {
    throw error
  },
)
