/** Fetches and reads shows off the thread that draws. */
import { expose } from 'comlink'
import { fetchSnapshot } from '../session/fetchSnapshot'

const worker = { fetchSnapshot }
export type SnapshotWorker = typeof worker

expose(worker)
