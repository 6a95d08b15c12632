import { defineConfig } from 'vitest/config'

/** Starting, ending and falling over of the whole application; needs the build. */
export default defineConfig({
  esbuild: { tsconfigRaw: '{}' },
  test: {
    include: ['tests/start/**/*.test.ts'],
    pool: 'forks',
    fileParallelism: false,
    testTimeout: 180_000,
    hookTimeout: 60_000,
    provide: { rounds: { times: 1, seed: 1 } },
  },
})
