/**
 * `npm run trials`: the tests at random and of faults with many rounds, counted. `TRIALS_TIMES` is
 * how many times as many as in `npm test` (40 unless said), `TRIALS_SEED` where the seeds begin:
 * today's date unless said. Words after it choose files; without any, pictures with odd places are opened last, and a
 * whole stand-in rig is trued up by packets and the interface.
 */
import { spawn } from 'node:child_process'
import { ensureChromium } from './browser'
import { buildWhenStale } from './build'
import { throwawayCluster } from './database/cluster'

const say = (line: string) => console.log(line)

function run(program: string, args: readonly string[], env: NodeJS.ProcessEnv): Promise<number> {
  const child = spawn(`node_modules/.bin/${program}`, args, { stdio: 'inherit', env })
  return new Promise((resolve) => child.once('close', (code) => resolve(code ?? 1)))
}

async function runTrials(files: readonly string[]): Promise<number> {
  const today = new Date()
  const seed =
    process.env['TRIALS_SEED'] ?? String(today.getFullYear() * 10_000 + (today.getMonth() + 1) * 100 + today.getDate())
  const times = process.env['TRIALS_TIMES'] ?? '40'
  await buildWhenStale(say)
  const cluster = await throwawayCluster('data/test', say)
  say(`Trials with ${times} times the usual rounds, seeds from ${seed}`)
  try {
    const env = {
      ...process.env,
      NO_COLOR: '1',
      TRIALS_TIMES: times,
      TRIALS_SEED: seed,
      RHOPANDER_TEST_DATABASE: cluster.address,
    }
    const code = await run(
      'vitest',
      ['run', '--config', 'vitest.trials.config.ts', '--reporter=default', ...files],
      env,
    )
    if (code !== 0 || files.length > 0) return code
    ensureChromium(say)
    return await run('playwright', ['test', 'tests/browser/oddPictures.test.ts', 'tests/browser/trueUp.test.ts'], {
      ...env,
      PROOF: 'whole',
    })
  } finally {
    await cluster.stop()
  }
}

runTrials(process.argv.slice(3)).then(
  (code) => process.exit(code),
  (error: unknown) => {
    console.error(error instanceof Error ? error.message : error)
    process.exit(1)
  },
)
