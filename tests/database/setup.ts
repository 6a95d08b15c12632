import { fileURLToPath } from 'node:url'
import { buildThread, THREADS } from '../../scripts/buildThread'
import { INPUT_THREAD, OUTPUT_THREAD, VERSION_THREAD } from '../threads'

export default async function buildThreads(): Promise<void> {
  await buildThread(THREADS.outputThread, fileURLToPath(OUTPUT_THREAD))
  await buildThread(THREADS.inputThread, fileURLToPath(INPUT_THREAD))
  await buildThread(THREADS.versionThread, fileURLToPath(VERSION_THREAD))
}
