/**
 * `npm run trials`: the tests at random with many rounds, counted. `TRIALS_TIMES` is how many times
 * as many as in `npm test` (40 unless said), `TRIALS_SEED` where the seeds begin: today's date unless said.
 */
import { spawn } from 'node:child_process'

const today = new Date()
const seed =
  process.env['TRIALS_SEED'] ?? String(today.getFullYear() * 10_000 + (today.getMonth() + 1) * 100 + today.getDate())
const times = process.env['TRIALS_TIMES'] ?? '40'
console.log(`Trials with ${times} times the usual rounds, seeds from ${seed}`)
const child = spawn('node_modules/.bin/vitest', ['run', '--config', 'vitest.trials.config.ts', '--reporter=default'], {
  stdio: 'inherit',
  env: { ...process.env, NO_COLOR: '1', TRIALS_TIMES: times, TRIALS_SEED: seed },
})
child.once('close', (code) => process.exit(code ?? 1))
