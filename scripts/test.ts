/** `npm test`: everything CI runs, in order, ending with one line that counts. */
import { spawn } from 'node:child_process'
import { buildWhenStale } from './build'
import { ensureChromium } from './browser'
import { throwawayCluster } from './database/cluster'

interface Tally {
  passed: number
  failed: number
}

/** Vitest's way to leave colours out; Playwright has its own and warns when it sees both. */
const PLAIN = { NO_COLOR: '1' }

const tally: Tally = { passed: 0, failed: 0 }
const say = (line: string) => console.log(line)

/** Runs a program, shows and returns what it prints, and its exit code. */
function run(command: string, args: string[], env: NodeJS.ProcessEnv = {}): Promise<{ code: number; output: string }> {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, {
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, ...env },
    })
    let output = ''
    const take = (chunk: Buffer) => {
      output += chunk.toString()
      process.stdout.write(chunk)
    }
    child.stdout.on('data', take)
    child.stderr.on('data', take)
    child.once('error', reject)
    child.once('close', (code) => resolve({ code: code ?? 1, output }))
  })
}

/** A check without tests of its own counts as one. */
async function check(name: string, command: string, args: string[]): Promise<void> {
  say(`\n== ${name}`)
  const { code } = await run(command, args)
  if (code === 0) tally.passed += 1
  else tally.failed += 1
}

/** Tests are counted by the runner's own closing lines; a runner that fails without one counts as one failed. */
async function tests(name: string, command: string, args: string[], env: NodeJS.ProcessEnv = {}): Promise<void> {
  say(`\n== ${name}`)
  const { code, output } = await run(command, args, env)
  const counted = (word: string) => Number([...output.matchAll(new RegExp(`(\\d+) ${word}`, 'g'))].at(-1)?.[1] ?? 0)
  const failed = counted('failed')
  tally.passed += counted('passed')
  tally.failed += code === 0 ? failed : Math.max(1, failed)
}

async function runAll(): Promise<void> {
  const bin = (name: string) => `node_modules/.bin/${name}`
  ensureChromium(say)
  await check('Prepare types', bin('nuxt'), ['prepare'])
  await Promise.all([
    check('Types', bin('nuxt'), ['typecheck']),
    check('Lint', bin('eslint'), ['.']),
    check('Format', bin('prettier'), ['--check', '--log-level', 'warn', '.']),
  ])
  await tests(
    'Core and scripts',
    bin('vitest'),
    ['run', '--config', 'vitest.unit.config.ts', '--reporter=default'],
    PLAIN,
  )
  const cluster = await throwawayCluster('data/test', say)
  const database = { RHOPANDER_TEST_DATABASE: cluster.address }
  try {
    await tests(
      'Database',
      bin('vitest'),
      ['run', '--config', 'vitest.database.config.ts', '--reporter=default'],
      database,
    )
    await buildWhenStale(say)
    await tests('Start', bin('vitest'), ['run', '--config', 'vitest.start.config.ts', '--reporter=default'], PLAIN)
    await tests('Browser', bin('playwright'), ['test', '--reporter=line'], database)
  } finally {
    await cluster.stop()
  }
}

runAll().then(
  () => {
    say(`\n${tally.passed} passed, ${tally.failed} failed`)
    process.exit(tally.failed === 0 ? 0 : 1)
  },
  (error: unknown) => {
    console.error(error instanceof Error ? error.message : error)
    say(`\n${tally.passed} passed, ${tally.failed + 1} failed`)
    process.exit(1)
  },
)
