/** Reads a back-up without keeping the page waiting. */
import { expose } from 'comlink'
import { readBackup } from '../session/readBackup'

expose({ readBackup })
