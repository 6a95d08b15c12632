import { fileURLToPath } from 'node:url'
import { buildOutputThread } from '../../scripts/buildOutputThread'
import { OUTPUT_THREAD } from '../outputThread'

export default () => buildOutputThread(fileURLToPath(OUTPUT_THREAD))
