import { defineConfig } from 'vitest/config'

export default defineConfig({
  esbuild: { tsconfigRaw: '{}' },
  test: {
    include: ['tests/database/**/*.test.ts'],
    pool: 'forks',
    globalSetup: 'tests/database/setup.ts',
    testTimeout: 30_000,
    hookTimeout: 60_000,
    provide: { rounds: { times: 1, seed: 1 } },
  },
})
