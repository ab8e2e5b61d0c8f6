import { spawn } from 'node:child_process';
import fs from 'node:fs';
import type { Browser } from '@playwright/test';

/** Whether the application is built; says so where it is not. */
export function isBuilt(what: string): boolean {
  const built = fs.existsSync('dist/index.html') && fs.existsSync('build/server.mjs');
  if (!built) console.log(`\n${what}: not built (npm run build), left out.`);
  return built;
}

/** Serves the built application and opens Chromium for as long as the work takes. */
export async function served(port: number, work: (browser: Browser, address: string) => Promise<void>): Promise<void> {
  const { chromium } = await import('@playwright/test');
  const server = spawn(process.execPath, ['build/server.mjs'], { env: { ...process.env, PORT: String(port) } });
  try {
    await new Promise((r) => setTimeout(r, 1500));
    const browser = await chromium.launch({
      executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu'],
    });
    await work(browser, `http://localhost:${port}/`);
    await browser.close();
  } finally {
    server.kill();
  }
}
