/** Fetches and checks shows off the thread that draws. */
import { expose } from 'comlink'
import { SnapshotFetcher } from '../session/fetchSnapshot'

expose(new SnapshotFetcher())
