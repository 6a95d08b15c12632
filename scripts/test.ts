/** `npm test`: everything CI runs, in order, ending with one line that counts. */
import { spawn } from 'node:child_process'
import { createInterface } from 'node:readline'
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

/** Runs a program; shows what it prints, each line under its name, and returns it with its exit code. */
function run(
  name: string,
  command: string,
  args: string[],
  env: NodeJS.ProcessEnv = {},
): Promise<{ code: number; output: string }> {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { stdio: ['ignore', 'pipe', 'pipe'], env: { ...process.env, ...env } })
    let output = ''
    for (const stream of [child.stdout, child.stderr])
      createInterface({ input: stream }).on('line', (line) => {
        output += `${line}\n`
        say(`${name} | ${line}`)
      })
    child.once('error', reject)
    child.once('close', (code) => resolve({ code: code ?? 1, output }))
  })
}

/** A check without tests of its own counts as one. */
async function check(name: string, command: string, args: string[]): Promise<void> {
  const { code } = await run(name, command, args)
  say(`${name} | ${code === 0 ? 'in order' : 'failed'}`)
  if (code === 0) tally.passed += 1
  else tally.failed += 1
}

/** Tests are counted by the runner's own closing lines; a runner that fails without one counts as one failed. */
async function tests(name: string, command: string, args: string[], env: NodeJS.ProcessEnv = {}): Promise<void> {
  const { code, output } = await run(name, command, args, env)
  const counted = (word: string) => Number([...output.matchAll(new RegExp(`(\\d+) ${word}`, 'g'))].at(-1)?.[1] ?? 0)
  const failed = counted('failed')
  tally.passed += counted('passed')
  tally.failed += code === 0 ? failed : Math.max(1, failed)
}

/** What was in order and has not changed since need not be read again. */
const cached = (name: string) => [
  '--cache',
  '--cache-strategy=content',
  `--cache-location=node_modules/.cache/${name}/checked`,
]
const bin = (name: string) => `node_modules/.bin/${name}`
const vitest = (name: string, config: string, env: NodeJS.ProcessEnv) =>
  tests(name, bin('vitest'), ['run', '--config', `vitest.${config}.config.ts`, '--reporter=default'], env)

async function runAll(): Promise<void> {
  ensureChromium(say)
  await check('Prepare types', bin('nuxt'), ['prepare'])
  await Promise.all([
    check('Types', bin('nuxt'), ['typecheck']),
    check('Lint', bin('eslint'), ['.', ...cached('eslint')]),
    check('Format', bin('prettier'), ['--check', '--log-level', 'warn', '.', ...cached('prettier')]),
  ])
  await vitest('Unit', 'unit', PLAIN)
  await buildWhenStale(say)
  await vitest('Start', 'start', PLAIN)
  const cluster = await throwawayCluster('data/test', say)
  const database = { RHOPANDER_TEST_DATABASE: cluster.address }
  try {
    await vitest('Database', 'database', { ...PLAIN, ...database })
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
