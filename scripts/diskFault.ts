/** Whether a folder can be written, and in what way not. */
import { rmSync, statfsSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'

/** What a database needs to start again and to go on for a while, bytes. */
const ROOM = 48_000_000
const LOOK_EVERY = 1000

/** Why nothing can be written there, in a sentence with the remedy; null where it can. */
export function diskFault(folder: string): string | null {
  const probe = join(folder, '.probe')
  try {
    writeFileSync(probe, 'written to see whether it can be')
    rmSync(probe)
    const { bavail, bsize } = statfsSync(folder)
    return bavail * bsize < ROOM ? `The disk of ${folder} is full. Make room on it.` : null
  } catch (error) {
    if (error instanceof Error && 'code' in error && error.code === 'ENOSPC')
      return `The disk of ${folder} is full. Make room on it.`
    return `${folder} can only be read just now. Make it writable.`
  }
}

/** Waits until a folder can be written, telling once why it cannot; resolves to whether one had to wait. */
export async function untilWritable(folder: string, say: (line: string) => void): Promise<boolean> {
  const fault = diskFault(folder)
  if (fault === null) return false
  say(`${fault} The database has stopped and is started again then.`)
  while (diskFault(folder) !== null) await pause(LOOK_EVERY)
  return true
}
