import { defineConfig } from 'vitest/config'

export default defineConfig({
  // The tsconfig is Nuxt's and there only once it is prepared; these tests need none.
  esbuild: { tsconfigRaw: '{}' },
  // Property tests run thousands of cases: a busy machine must not make them fail.
  test: {
    testTimeout: 120_000,
    provide: { rounds: { times: 1, seed: 1 } },
    projects: [
      {
        extends: true,
        test: {
          name: 'pure',
          // What is pure is read once for all files: reading it anew for each took most of the time.
          isolate: false,
          include: [
            'core/**/*.test.ts',
            'cli/**/*.test.ts',
            'demo/**/*.test.ts',
            'server/**/*.test.ts',
            'tests/unit/**/*.test.ts',
          ],
        },
      },
      { extends: true, test: { name: 'page', include: ['app/**/*.test.ts'] } },
    ],
  },
})
