/**
 * Runs one of our TypeScript scripts on a bare machine: installs the npm packages first when they
 * are missing or older than the lock file. Plain JavaScript, because nothing else can run yet.
 */
import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'

const [major = 0, minor = 0] = process.versions.node.split('.').map(Number)
if (major < 20 || (major === 20 && minor < 19)) {
  console.error(
    `Rhopander needs Node 20.19 or newer; this is ${process.versions.node}. Install a newer Node and try again.`,
  )
  process.exit(1)
}

const root = fileURLToPath(new URL('..', import.meta.url))
process.chdir(root)
const lockHash = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex')
const stamp = 'node_modules/.installed-lock'
if (!existsSync(stamp) || readFileSync(stamp, 'utf8') !== lockHash) {
  console.error('Installing npm packages; this takes a minute or two the first time.')
  const installed = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    stdio: ['ignore', 2, 2],
    env: { ...process.env, NODE_ENV: 'development' },
  })
  if (installed.status !== 0) {
    console.error('The packages could not be installed. Check the network and run the command again.')
    process.exit(1)
  }
  writeFileSync(stamp, lockHash)
}

const script = process.argv[2]
if (!script) {
  console.error('Say which script to run.')
  process.exit(1)
}
const { register } = await import('tsx/esm/api')
register()
await import(new URL(`${script}.ts`, import.meta.url).href)
