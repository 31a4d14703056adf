import { defineConfig } from '@playwright/test'

const PORT = 3177

export default defineConfig({
  testDir: 'tests/e2e',
  outputDir: 'test-results/browser',
  // A hang is noticed at its step (ten seconds an expectation, fifteen an action); this bounds a whole walk on a slow machine.
  timeout: 90_000,
  expect: { timeout: 10_000 },
  workers: 1,
  forbidOnly: Boolean(process.env.CI),
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  use: {
    actionTimeout: 15_000,
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    permissions: ['clipboard-read', 'clipboard-write'],
    // A page's files are then asked of the server, where tests can see them; tests of the page without a network allow it.
    serviceWorkers: 'block',
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking',
        '--disable-component-update', '--disable-sync',
      ],
    },
  },
  webServer: {
    command: 'node .output/server/index.mjs',
    url: `http://127.0.0.1:${PORT}/api/designs`,
    env: {
      PORT: String(PORT), FAIR_HOLLOW_DB: `test-results/e2e-${Date.now()}.sqlite`, FAIR_HOLLOW_NAMES: 'phone.test',
      FAIR_HOLLOW_ADDRESSES: '127.0.0.2',
    },
    reuseExistingServer: false,
  },
})
