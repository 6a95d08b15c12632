/** Folders of tests, each for one start at a time, that PostgreSQL’s own user can enter. */
import { chmodSync, mkdtempSync, readdirSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach } from 'vitest'

const made: string[] = []

export function newFolder(): string {
  const folder = mkdtempSync(join(tmpdir(), 'rhopander-test-'))
  chmodSync(folder, 0o755)
  made.push(folder)
  return folder
}

afterEach(() => {
  for (const folder of made.splice(0)) rmSync(folder, { recursive: true, force: true })
})

/** Every file below a folder, with its size. */
export function filesOf(folder: string): string[] {
  return readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .map((name) => `${name} ${statSync(join(folder, name)).size}`)
    .sort()
}
