import { defineConfig } from '@playwright/test'
import { chromiumLaunch } from './scripts/lib/chromium'

/** Each worker runs against a whole Oxlip of its own: see tests/stand.ts. */
export default defineConfig({
  testDir: 'tests',
  testMatch: '**/*.spec.ts',
  globalSetup: './tests/template.ts',
  // Two cores are kept busy by three: one of them always waits for a server or for the page to come to rest.
  workers: 3,
  // A second try tells a journey that is broken from one that a busy machine tripped; which ones needed it is said at the end.
  retries: 1,
  timeout: 180_000,
  // What is there at once where nobody else works takes its time on a machine that does three things on two cores.
  expect: { timeout: 30_000 },
  forbidOnly: Boolean(process.env.CI),
  reporter: [['list'], ...(process.env.OXLIP_REPORT ? [['json', { outputFile: process.env.OXLIP_REPORT }] as const] : [])],
  use: {
    browserName: 'chromium',
    launchOptions: chromiumLaunch(),
    viewport: { width: 1280, height: 800 },
    timezoneId: 'Europe/London',
    locale: 'en-GB',
    trace: 'off',
    serviceWorkers: 'block',
  },
})
