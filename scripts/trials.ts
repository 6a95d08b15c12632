/**
 * `npm run trials`: the tests at random and of faults with many rounds, counted. `TRIALS_TIMES` is
 * how many times as many as in `npm test` (40 unless said), `TRIALS_SEED` where the seeds begin:
 * today's date unless said. Words after it choose files.
 */
import { spawn } from 'node:child_process'
import { buildWhenStale } from './build'
import { throwawayCluster } from './database/cluster'

const say = (line: string) => console.log(line)

async function runTrials(files: readonly string[]): Promise<number> {
  const today = new Date()
  const seed =
    process.env['TRIALS_SEED'] ?? String(today.getFullYear() * 10_000 + (today.getMonth() + 1) * 100 + today.getDate())
  const times = process.env['TRIALS_TIMES'] ?? '40'
  await buildWhenStale(say)
  const cluster = await throwawayCluster('data/test', say)
  say(`Trials with ${times} times the usual rounds, seeds from ${seed}`)
  try {
    const child = spawn(
      'node_modules/.bin/vitest',
      ['run', '--config', 'vitest.trials.config.ts', '--reporter=default', ...files],
      {
        stdio: 'inherit',
        env: {
          ...process.env,
          NO_COLOR: '1',
          TRIALS_TIMES: times,
          TRIALS_SEED: seed,
          RHOPANDER_TEST_DATABASE: cluster.address,
        },
      },
    )
    return await new Promise((resolve) => child.once('close', (code) => resolve(code ?? 1)))
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
