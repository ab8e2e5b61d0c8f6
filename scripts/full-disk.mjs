// npm run torture:full [-- rounds]: a small volume with the browser's data on it is filled to the last byte while casts are
// counted, the browser is killed, and the next one is asked what is there (docs/reliability.md). Mounts the volume, so it needs root.
import { execFileSync, spawn } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { fishing, openBrowser, pause, shownOn } from './killable.mjs';
import { ensureBuilt, ensureChromium, ensureInstalled, ensureNode } from './lib.mjs';

ensureNode();
ensureInstalled();
ensureBuilt();
const executable = ensureChromium();
const rounds = Number(process.argv[2] ?? 6);
const VOLUME_MB = 300;
const OUTINGS = 40;
const port = 4190;
const address = `http://localhost:${port}`;
const volume = fs.mkdtempSync(path.join(os.tmpdir(), 'full-'));
const filler = path.join(volume, 'filler');
// Without the demo: that would fill an empty browser again, and hide what was lost.
const server = spawn(process.execPath, ['build/server.mjs'], { env: { ...process.env, PORT: String(port) } });

/** Writes until not a byte more fits. */
function fill() {
  const fd = fs.openSync(filler, 'a');
  for (let size = 1 << 20; size >= 1;)
    try {
      fs.writeSync(fd, new Uint8Array(size));
    } catch {
      size >>= 1;
    }
  fs.closeSync(fd);
}
const textOf = (page) => page.evaluate(() => document.body.innerText);
async function outings(page) {
  await page.goto(`${address}/learn`);
  for (let i = 0; i < 300; i++) {
    const found = /(\d+|one) outings?\b/.exec(await textOf(page));
    if (found) return found[1] === 'one' ? 1 : Number(found[1]);
    await pause(100);
  }
  return 0;
}

let lost = 0;
let untold = 0;
let castsWhileFull = 0;
let browser = null;
try {
  await pause(1500);
  for (let round = 0; round < rounds; round++) {
    execFileSync('mount', ['-t', 'tmpfs', '-o', `size=${VOLUME_MB}m`, 'tmpfs', volume]);
    const profile = path.join(volume, 'profile');
    browser = await openBrowser(executable, profile);
    await browser.page.goto(address);
    await browser.page.getByRole('button', { name: /demo data/ }).click();
    await browser.page.getByRole('button', { name: 'Skip the tour' }).click();
    await browser.page.getByRole('heading', { name: 'Go?' }).waitFor();
    await fishing(browser.page, address);
    const cast = browser.page.getByRole('button', { name: 'Cast', exact: true });
    for (let i = 0; i < 3; i++) {
      await cast.click();
      await pause(400);
    }
    const stored = await shownOn(browser.page);
    for (let i = 0; i < 6; i++) {
      fill(); // the browser gives some back now and then
      await cast.click({ timeout: 2000 }).catch(() => undefined);
      castsWhileFull++;
      await pause(300);
    }
    await pause(1000);
    const isTold = /no room left/.test(await textOf(browser.page));
    if (!isTold) untold++;
    // Every second time it is opened again while nothing has changed, as a worried user does.
    await browser.kill();
    if (round % 2 === 1) {
      browser = await openBrowser(executable, profile).catch(() => null);
      await browser?.page.goto(address).catch(() => undefined);
      await pause(1500);
      await browser?.kill();
    }
    fs.rmSync(filler);
    // And every third time all that the browser holds of it is thrown away.
    if (round % 3 === 2) fs.rmSync(path.join(profile, 'Default', 'IndexedDB'), { recursive: true });
    browser = await openBrowser(executable, profile);
    const found = await outings(browser.page);
    const casts = await fishing(browser.page, address);
    const text = (await textOf(browser.page)).replace(/\s+/g, ' ');
    const said = /Your log is back|Your data is gone|Check your newest/.exec(text)?.[0] ?? 'nothing thrown away';
    console.log(`round ${round}: ${found} outings, ${casts} casts of ${stored} stored; told: ${isTold}; ${said}`);
    if (found < OUTINGS || casts < stored) lost++;
    await browser.kill();
    await pause(300);
    execFileSync('umount', ['-l', volume]);
  }
} finally {
  server.kill();
  await browser?.kill().catch(() => undefined); // where a round was cut short
  try {
    execFileSync('umount', ['-l', volume], { stdio: 'ignore' });
  } catch {
    // It was not mounted.
  }
  fs.rmSync(volume, { recursive: true, force: true });
}
console.log(`${rounds} times full, ${castsWhileFull} casts meanwhile, ${lost} logs not whole, ${untold} not told`);
process.exit(lost > 0 || untold > 0 ? 1 : 0);
