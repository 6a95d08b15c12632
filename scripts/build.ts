/** Builds the application when what it is built from has changed. */
import { spawn } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'

const SOURCES = [
  'app',
  'core',
  'demo',
  'public',
  'server',
  'nuxt.config.ts',
  'package-lock.json',
  'scripts/buildThread.ts',
]
const STAMP = '.output/built-from'

function sourceHash(): string {
  const hash = createHash('sha256')
  const take = (path: string) => hash.update(path).update(readFileSync(path))
  for (const source of SOURCES) {
    if (!existsSync(source)) continue
    if (source.includes('.')) take(source)
    else
      for (const entry of readdirSync(source, { recursive: true, withFileTypes: true }))
        if (entry.isFile() && !entry.name.endsWith('.test.ts')) take(join(entry.parentPath, entry.name))
  }
  return hash.digest('hex')
}

/** Makes sure `.output` is built from the sources as they are. */
export async function buildWhenStale(say: (line: string) => void): Promise<void> {
  const wanted = sourceHash()
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === wanted) return
  say('Building the application; this takes about a minute.')
  const output: string[] = []
  const status = await new Promise<number | null>((resolve, reject) => {
    const build = spawn('node_modules/.bin/nuxt', ['build'], { stdio: ['ignore', 'pipe', 'pipe'] })
    build.stdout.on('data', (chunk: Buffer) => output.push(chunk.toString()))
    build.stderr.on('data', (chunk: Buffer) => output.push(chunk.toString()))
    build.once('error', reject)
    build.once('close', resolve)
  })
  if (status !== 0) throw new Error(`The build failed.\n${output.join('').slice(-6000)}`)
  writeFileSync(STAMP, wanted)
}
