import fs from 'node:fs';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { isBuilt, served } from './served';
import { table } from './table';

const PORT = 4189;
/** gzip of the stack with nothing of ours: Expo, React Native Web, React, the router (measured once on an empty app). */
const FLOOR_KB = 285;

/** Start-up in Chromium with the processor slowed four times, and the weight of the first screen. */
export async function benchStart(): Promise<void> {
  const dist = path.resolve('dist');
  if (!isBuilt('Start-up')) return;
  await served(PORT, async (browser, address) => {
    const runs: { paint: number; content: number; kb: number }[] = [];
    for (let i = 0; i < 3; i++) {
      const context = await browser.newContext({ viewport: { width: 390, height: 844 }, serviceWorkers: 'block' });
      const page = await context.newPage();
      const scripts = new Set<string>();
      page.on('response', (r) => {
        if (r.url().endsWith('.js')) scripts.add(new URL(r.url()).pathname);
      });
      const cdp = await context.newCDPSession(page);
      await cdp.send('Emulation.setCPUThrottlingRate', { rate: 4 });
      const t0 = performance.now();
      await page.goto(address);
      await page.getByText('No water yet').waitFor();
      const content = performance.now() - t0;
      const paint = await page.evaluate(
        () => performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? NaN,
      );
      const kb = [...scripts].reduce((s, f) => s + gzipSync(fs.readFileSync(path.join(dist, f))).length, 0) / 1024;
      runs.push({ paint, content, kb });
      await context.close();
    }
    const mid = (k: keyof (typeof runs)[number]) => runs.map((r) => r[k]).sort((a, b) => a - b)[1]!;
    table(
      'Start-up in Chromium, CPU ×4, cold, 390×844',
      ['what', 'value', 'ratio'],
      [
        ['first paint (boot page), ms', mid('paint'), mid('paint') / mid('content')],
        ['first screen’s content, ms', mid('content'), 1],
        ['JavaScript of the first screen, kB gzip', mid('kb'), mid('kb') / FLOOR_KB],
      ],
    );
  });
}
