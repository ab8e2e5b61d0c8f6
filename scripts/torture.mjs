// npm run torture [-- rounds]: kills Chromium at random moments while casts are counted, some within 200 ms of its start, and
// looks what the next one finds. What was shown must be there (docs/reliability.md).
import { spawn } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { fishing, openBrowser, pause, shownOn } from './killable.mjs';
import { ensureBuilt, ensureChromium, ensureInstalled, ensureNode } from './lib.mjs';

ensureNode();
ensureInstalled();
ensureBuilt();
const executable = ensureChromium();
const rounds = Number(process.argv[2] ?? 20);
const port = 4190;
const address = `http://localhost:${port}`;
const profile = fs.mkdtempSync(path.join(os.tmpdir(), 'torture-'));
const server = spawn(process.execPath, ['build/server.mjs'], {
  env: { ...process.env, PORT: String(port), WANDERUNG_DEMO: '1' },
});

/** Minimal standard generator (Park and Miller 1988): the same moments each time. */
let seed = 7;
const chance = () => (seed = (seed * 48271) % 2147483647) / 2147483647;

let confirmed = 0;
let casts = 0;
let lost = 0;
let early = 0;
try {
  await pause(1500);
  for (let round = 0; round < rounds; round++) {
    const { page, kill } = await openBrowser(executable, profile);
    if (round % 4 === 3) {
      // Killed while it starts.
      early++;
      await Promise.race([page.goto(`${address}/fish`).catch(() => undefined), pause(200 * chance())]);
      await kill();
      continue;
    }
    const found = await fishing(page, address);
    if (found < confirmed) {
      lost += confirmed - found;
      console.log(`round ${round}: ${confirmed} casts were shown, ${found} are there`);
    }
    confirmed = found;
    const until = Date.now() + 300 + 2500 * chance();
    let stopped = false;
    const casting = (async () => {
      while (!stopped) {
        const button = page.getByRole('button', { name: 'Cast', exact: true });
        await button.click({ timeout: 500, noWaitAfter: true }).catch(() => undefined);
        const shown = await shownOn(page).catch(() => -1);
        if (shown > confirmed) {
          casts += shown - confirmed;
          confirmed = shown;
        }
      }
    })();
    while (Date.now() < until) await pause(20);
    await kill();
    stopped = true;
    await casting;
  }
  const { page, kill } = await openBrowser(executable, profile);
  const found = await fishing(page, address);
  if (found < confirmed) lost += confirmed - found;
  await kill();
} finally {
  server.kill();
  fs.rmSync(profile, { recursive: true, force: true });
}
console.log(`${rounds} kills (${early} within 200 ms of the start), ${casts} casts shown, ${lost} lost`);
process.exit(lost > 0 || casts === 0 ? 1 : 0);
