import { defineConfig } from '@playwright/test'
import { CHROMIUM_FLAGS, chromiumPath } from './scripts/browser'

export default defineConfig({
  testDir: 'tests/browser',
  // Caps for a busy machine, not expectations: what is awaited usually comes at once.
  timeout: 180_000,
  expect: { timeout: 30_000 },
  workers: 2,
  fullyParallel: true,
  forbidOnly: true,
  reporter: 'line',
  outputDir: 'test-results',
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: chromiumPath(), args: CHROMIUM_FLAGS },
    screenshot: 'only-on-failure',
  },
})
