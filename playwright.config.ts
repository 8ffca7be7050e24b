import { defineConfig } from '@playwright/test'
import { CHROMIUM } from './tests/support/chromium'

/** The real interface in Debian's Chromium, against a built Fika that npm test starts on a throw-away cluster. */
export default defineConfig({
  testDir: 'tests/e2e',
  timeout: 90_000,
  expect: { timeout: 10_000 },
  workers: 2,
  // Tried again once, and then told as such at the end: a busy machine is no fault of the interface, but is looked into.
  retries: 1,
  reporter: [['list'], ['json', { outputFile: 'reports/playwright.json' }]],
  use: {
    baseURL: process.env.FIKA_URL,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'UTC',
    launchOptions: { executablePath: CHROMIUM.executablePath, args: [...CHROMIUM.args] },
    trace: 'off',
    // Keeps only the words for when Fika cannot be reached; away.spec looks at it.
    serviceWorkers: 'block',
  },
})
