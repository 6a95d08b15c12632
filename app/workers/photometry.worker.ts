/** Reads a photometric file without keeping the page waiting. */
import { expose } from 'comlink'
import { readPhotometryFile } from '../session/readPhotometryFile'

expose({ readPhotometryFile })
