import { readFileSync } from 'node:fs'
import { join } from 'node:path'

/** The process of the database of a folder. */
export function postmasterOf(folder: string): number {
  return Number(readFileSync(join(folder, 'cluster', 'postmaster.pid'), 'utf8').split('\n')[0])
}
