import { defineConfig } from '@playwright/test';

process.env.E2E_BEGAN_MS ??= String(Date.now()); // one clock for all workers, which have this from here
const port = Number(process.env.E2E_PORT ?? 4173);
export default defineConfig({
  testDir: './e2e',
  outputDir: './test-results',
  timeout: 90_000,
  expect: { timeout: 30_000 }, // two cores may be busy, and an answer takes seconds
  retries: process.env.CI ? 1 : 0, // a machine that stalls is no defect; what needed a second try is listed as flaky
  workers: 3, // on two cores, too: each waits now and then
  reporter: [['list'], ['json', { outputFile: 'test-results/results.json' }]],
  use: {
    baseURL: `http://localhost:${port}`,
    launchOptions: {
      executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
    serviceWorkers: 'block', // filling the copy kept for no signal costs seconds: only journeys without one need it
    trace: process.env.E2E_TRACE ? 'retain-on-failure' : 'off', // tracing doubles the time
    screenshot: 'only-on-failure',
  },
  projects: [
    // Journeys run on a phone; where the width of the screen makes a difference, on a wide one too, or there only.
    {
      name: 'phone',
      testIgnore: /timing/,
      grepInvert: /@wide-only/,
      use: { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true },
    },
    {
      name: 'wide',
      grep: /@wide/,
      use: { viewport: { width: 1280, height: 800 } },
    },
    // One after the other, when the rest is done.
    {
      name: 'timing',
      testMatch: /timing/,
      dependencies: ['phone', 'wide'],
      use: { viewport: { width: 1280, height: 800 } },
    },
  ],
  webServer: {
    command: 'node build/server.mjs',
    url: `http://localhost:${port}/api/health`,
    env: { PORT: String(port), NODE_ENV: 'production' },
    reuseExistingServer: false,
    timeout: 30_000,
  },
});
