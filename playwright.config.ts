import os from 'node:os';
import { defineConfig } from '@playwright/test';

process.env.E2E_BEGAN_MS ??= String(Date.now()); // one clock for all workers, which have this from here

/** How long a fixed piece of work takes now, ms; half a second on the machine for which the limits here were set. */
function yardstickMs(): number {
  const t0 = performance.now();
  let x = 0;
  for (let i = 0; i < 1e7; i++) x += Math.sin(i) * Math.sqrt(i + x * x);
  return x === 0 ? Infinity : performance.now() - t0;
}
/** How much slower this machine is: all limits are so much longer (e2e/pace.ts). A slow machine is no defect. */
process.env.E2E_PACE ??= String(Math.max(1, Math.max(yardstickMs(), yardstickMs()) / 500));
const pace = Number(process.env.E2E_PACE);
const port = Number(process.env.E2E_PORT ?? 4173);
export default defineConfig({
  testDir: './e2e',
  outputDir: './test-results',
  // Waits are for conditions, and end when these hold: their limits are far above what anything takes, and only end what hangs.
  timeout: 240_000 * pace,
  expect: { timeout: 60_000 * pace },
  retries: process.env.CI ? 1 : 0, // a machine that stalls is no defect; what needed a second try is listed as flaky
  workers: os.availableParallelism(), // more of them wait for each other
  reporter: [['list'], ['json', { outputFile: 'test-results/results.json' }]],
  use: {
    actionTimeout: 60_000 * pace, // as long as an expectation: what waits for what never comes ends before its journey
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
      retries: 5, // a machine may halt for half a second; what is too slow is so each time
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
