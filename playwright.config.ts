import { defineConfig } from '@playwright/test';

// bin/test starts the server on a production build with the demo data and says where it is.
export default defineConfig({
  testDir: 'e2e',
  // What needs a server that is shared runs on one, and nothing else does.
  ...(process.env.COOL_DRAM_SHARE ? {} : { testIgnore: 'shared.spec.ts' }),
  outputDir: process.env.PLAYWRIGHT_OUTPUT ?? 'test-results',
  workers: 1,
  // A shared machine may stand still for seconds, and be three times as slow as on its best day.
  timeout: 180_000,
  expect: { timeout: 30_000 },
  reporter: [['list'], ['json']],
  use: {
    baseURL: process.env.BASE_URL ?? 'http://127.0.0.1:3000',
    serviceWorkers: 'block', // what it answers no test could route; offline.spec.ts has it
    locale: 'en-GB', // metric units
    timezoneId: process.env.TZ ?? 'UTC',
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-dev-shm-usage',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
      ],
    },
  },
});
