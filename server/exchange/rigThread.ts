/** The thread that reads a rig file, so that nobody waits for a large or a bad one. */
import { parentPort, workerData } from 'node:worker_threads'
import { z } from 'zod'
import { AXES } from '#core/exchange/gdtf/readType'
import { reasonOf, readRigFile } from './rigFile'
import type { LookedAt } from './lookAtRig'

const work = z.object({ file: z.instanceof(Uint8Array), name: z.string(), leftHanded: z.array(z.enum(AXES)) })

async function lookedAt(): Promise<LookedAt> {
  const { file, name, leftHanded } = work.parse(workerData)
  try {
    return { ok: true, reading: await readRigFile(file, name, { leftHanded }) }
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
