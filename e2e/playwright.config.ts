import { defineConfig } from '@playwright/test'

export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  globalSetup: './build.ts',
  workers: 2,
  // A machine ten times slower than ours now and then lets a real second pass between two presses.
  retries: 2,
  timeout: 180_000,
  expect: { timeout: 20_000 },
  outputDir: '../test-results',
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    // What is kept on a device has tests of its own; everywhere else a page is fetched anew.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: ['--disable-gpu', '--disable-features=PaintHolding'],
    },
    trace: 'off',
  },
})
