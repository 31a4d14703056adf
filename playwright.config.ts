import { defineConfig } from '@playwright/test'
import { CHROMIUM } from './scripts/chromium.mjs'

/** Tests that need the machine to themselves: they measure how long the program stands still. */
const ALONE = ['**/storm.spec.ts']

export default defineConfig({
  testDir: 'tests/e2e',
  outputDir: 'test-results/browser',
  // A hang is noticed at its step (ten seconds an expectation, fifteen an action); this bounds a whole walk on a slow machine.
  timeout: 90_000,
  expect: { timeout: 10_000 },
  // A browser leaves half of two cores idle.
  workers: 2,
  projects: [{ name: 'walks', testIgnore: ALONE }, { name: 'alone', testMatch: ALONE, workers: 1, dependencies: ['walks'] }],
  forbidOnly: Boolean(process.env.CI),
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  use: {
    actionTimeout: 15_000,
    viewport: { width: 1280, height: 800 },
    permissions: ['clipboard-read', 'clipboard-write'],
    // A page's files are then asked of the server, where tests can see them; tests of the page without a network allow it.
    serviceWorkers: 'block',
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: CHROMIUM,
      args: [
        '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking',
        '--disable-component-update', '--disable-sync',
      ],
    },
  },
})
