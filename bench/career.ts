import { build } from 'esbuild';
import { PLAN } from '@/core/testing/fixtures';
import type { LogEvent } from '@/core/logbook';
import { append } from '@/store/changes';
import { memoryDatabase, memoryStorage } from '@/store/memory';
import { isBuilt, served } from './served';
import { table } from './table';

const OUTINGS = 3_000;
const EVENTS = 1_000_000;
const each = Math.ceil(EVENTS / OUTINGS);

const FAMILIES = ['woolly bugger', 'muddler', 'rabbit strip'] as const;
const happened = (n: number) => ({
  id: `event-${n}-of-some-length`,
  at: 1_700_000_000_000 + n * 40_000,
  runId: 'long-even',
  xM: (n % 80) * 1.5,
  yM: 4,
  rig: `rig-${FAMILIES[n % 3]}`,
});
const cast = (n: number): LogEvent => ({ ...happened(n), kind: 'cast', plan: PLAN });

interface Bench {
  fill(entries: Record<string, string>, outings: number): Promise<void>;
  sum(): Promise<{ ms: number; casts: number }>;
  append(outing: string, event: LogEvent): Promise<number>;
}

const median = (xs: number[]) => [...xs].sort((a, b) => a - b)[Math.floor(xs.length / 2)]!;

/** A million events in three thousand outings on IndexedDB in Chromium: opened and summed up, and one event appended. */
export async function benchCareer(): Promise<void> {
  if (!isBuilt('A career in Chromium')) return;
  const storage = memoryStorage();
  const one = memoryDatabase(storage);
  await one.commit(
    append(
      'o',
      Array.from({ length: each }, (_, n) => cast(n)),
    ),
  );
  await one.folded(); // keeps the sums in the head
  const script = await build({
    entryPoints: ['bench/career.page.ts'],
    bundle: true,
    write: false,
    format: 'iife',
    alias: { '@': process.cwd() },
  });
  const rows: [string, number, number][] = [];
  await served(4177, async (browser, address) => {
    const measure = async (outings: number) => {
      const context = await browser.newContext({ bypassCSP: true, serviceWorkers: 'block' });
      const page = await context.newPage();
      // A new page each time: nothing is known but what is stored.
      const anew = async () => {
        await page.goto(`${address}manifest.webmanifest`);
        await page.addScriptTag({ content: script.outputFiles[0]!.text });
      };
      await anew();
      await page.evaluate(([entries, n]) => (window as unknown as Bench).fill(entries, n), [
        Object.fromEntries(storage.entries),
        outings,
      ] as const);
      const first = await page.evaluate(() => (window as unknown as Bench).sum());
      const sums: number[] = [];
      const appends: number[] = [];
      for (let i = 0; i < 5; i++) {
        await anew();
        const { ms, casts } = await page.evaluate(() => (window as unknown as Bench).sum());
        if (casts !== outings * each + i) throw new Error(`${casts} casts were summed up`);
        sums.push(ms);
        for (let k = 0; k < 11; k++) {
          const base = { ...happened(0), id: `new-${i}-${k}` };
          const event: LogEvent = k === 0 ? { ...base, kind: 'cast', plan: PLAN } : { ...base, kind: 'bed' };
          appends.push(
            await page.evaluate(([o, e]) => (window as unknown as Bench).append(o, e), [
              `o${outings - 1}`,
              event,
            ] as const),
          );
        }
        await page.evaluate(() => (window as unknown as Bench).sum());
      }
      await context.close();
      return { first: first.ms, sum: median(sums), append: median(appends) };
    };
    const few = await measure(1);
    const many = await measure(OUTINGS);
    rows.push(['open and sum up one outing', few.sum, 1]);
    rows.push([
      `open and sum up ${EVENTS.toLocaleString('en-GB')} events in ${OUTINGS} outings`,
      many.sum,
      many.sum / few.sum,
    ]);
    rows.push(['the same, without what was summed up before', many.first, many.first / few.first]);
    rows.push(['append one event to it', few.append, 1]);
    rows.push(['append one event to the career', many.append, many.append / few.append]);
  });
  table('A career on IndexedDB in Chromium', ['work', 'ms', 'ratio'], rows);
}
