import { defineConfig } from 'vitest/config'

/** The tests at random of the unit tests, with many rounds from a seed of one's own. */
export default defineConfig({
  esbuild: { tsconfigRaw: '{}' },
  test: {
    testTimeout: 3_600_000,
    hookTimeout: 60_000,
    pool: 'forks',
    globalSetup: 'tests/database/setup.ts',
    provide: {
      rounds: { times: Number(process.env['TRIALS_TIMES'] ?? 40), seed: Number(process.env['TRIALS_SEED'] ?? 1) },
    },
    include: ['core/**/*.trial.test.ts', 'demo/**/*.trial.test.ts', 'tests/**/*.trial.test.ts'],
  },
})
