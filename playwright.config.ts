import { defineConfig } from '@playwright/test'
import { CHROMIUM, CHROMIUM_FLAGS } from './scripts/browser'

export default defineConfig({
  testDir: 'tests/browser',
  timeout: 60_000,
  expect: { timeout: 10_000 },
  workers: 2,
  fullyParallel: true,
  forbidOnly: true,
  reporter: 'line',
  outputDir: 'test-results',
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: CHROMIUM, args: CHROMIUM_FLAGS },
    screenshot: 'only-on-failure',
  },
})
