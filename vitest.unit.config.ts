import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: { include: ['core/**/*.test.ts', 'cli/**/*.test.ts', 'demo/**/*.test.ts', 'tests/unit/**/*.test.ts'] },
})
