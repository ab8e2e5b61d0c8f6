// A browser that can be killed like one whose battery is pulled, and what its river screen says.
import { spawn } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';
import { chromium } from '@playwright/test';

export const pause = (ms) => new Promise((r) => setTimeout(r, ms));

/** A browser on a profile, as a user has it. */
export async function openBrowser(executable, profile) {
  const child = spawn(
    executable,
    [
      '--headless',
      '--no-sandbox',
      '--disable-gpu',
      '--no-first-run',
      '--remote-debugging-port=9377',
      `--user-data-dir=${profile}`,
    ],
    { detached: true, stdio: 'ignore' },
  );
  const kill = async () => {
    if (child.exitCode !== null || child.signalCode !== null) return;
    const gone = new Promise((r) => child.once('exit', r));
    process.kill(-child.pid, 'SIGKILL');
    await gone;
    await pause(200);
    for (const lock of ['SingletonLock', 'SingletonSocket', 'SingletonCookie'])
      fs.rmSync(path.join(profile, lock), { force: true });
  };
  for (let i = 0; i < 100; i++) {
    try {
      const browser = await chromium.connectOverCDP('http://127.0.0.1:9377');
      const page = browser.contexts()[0].pages()[0] ?? (await browser.contexts()[0].newPage());
      return { page, kill };
    } catch {
      await pause(100);
    }
  }
  throw new Error('Chromium did not start');
}

/** Casts that the page says were made; −1 before it says anything. */
export const shownOn = (page) =>
  page.evaluate(() => {
    if (/^Begin /m.test(document.body.innerText)) return 0;
    return Number(/cast (\d+) made/.exec(document.body.innerText)?.[1] ?? -1);
  });
/** Goes to the river screen, and begins an outing where none goes on. */
export async function fishing(page, address) {
  await page.goto(`${address}/fish`);
  for (let i = 0; i < 200; i++) {
    const start = page.getByRole('button', { name: 'Start fishing' });
    if (await start.isVisible()) await start.click({ timeout: 1000 }).catch(() => undefined); // it may just have gone
    const shown = await shownOn(page);
    if (shown >= 0) return shown;
    await pause(100);
  }
  throw new Error('the river screen did not open');
}
