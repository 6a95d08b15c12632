import { fileURLToPath } from 'node:url'
import { buildThread, THREADS } from '../../scripts/buildThread'
import { OUTPUT_THREAD } from '../outputThread'

export default () => buildThread(THREADS.outputThread, fileURLToPath(OUTPUT_THREAD))
