/** Checks shows off the thread that draws. */
import { expose } from 'comlink'
import { isSnapshotSound } from '../session/responses'

expose({ isSnapshotSound })
