import { defineConfig } from 'vitest/config'

export default defineConfig({
  // The tsconfig is Nuxt's and there only once it is prepared; these tests need none.
  esbuild: { tsconfigRaw: '{}' },
  test: {
    include: [
      'core/**/*.test.ts',
      'cli/**/*.test.ts',
      'demo/**/*.test.ts',
      'server/**/*.test.ts',
      'tests/unit/**/*.test.ts',
    ],
  },
})
