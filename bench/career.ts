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
  days(waterId: string, outings: number): Promise<void>;
  sum(): Promise<{ ms: number; casts: number }>;
  append(outing: string, event: LogEvent): Promise<number>;
}

const median = (xs: number[]) => [...xs].sort((a, b) => a - b)[Math.floor(xs.length / 2)]!;

/** One outing as it is stored, with its sums, and what fills a page's store with it. */
async function oneOuting() {
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
  return { entries: Object.fromEntries(storage.entries), script: script.outputFiles[0]!.text };
}

/** A million events in three thousand outings on IndexedDB in Chromium: opened and summed up, and one event appended. */
export async function benchCareer(): Promise<void> {
  if (!isBuilt('A career in Chromium')) return;
  const { entries, script } = await oneOuting();
  const rows: [string, number, number][] = [];
  await served(4177, async (browser, address) => {
    const measure = async (outings: number) => {
      const context = await browser.newContext({ bypassCSP: true, serviceWorkers: 'block' });
      const page = await context.newPage();
      // A new page each time: nothing is known but what is stored.
      const anew = async () => {
        await page.goto(`${address}manifest.webmanifest`);
        await page.addScriptTag({ content: script });
      };
      await anew();
      await page.evaluate(([e, n]) => (window as unknown as Bench).fill(e, n), [entries, outings] as const);
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

/** The screens beside such a career and beside an almost empty log: until they show what is looked for, a cast told, everything out. */
export async function benchCareerScreens(): Promise<void> {
  if (!isBuilt('The screens beside a career')) return;
  const { entries, script } = await oneOuting();
  const measured: Record<string, number>[] = [];
  await served(4178, async (browser, address) => {
    for (const outings of [1, OUTINGS]) {
      const context = await browser.newContext({ bypassCSP: true, serviceWorkers: 'block' });
      const page = await context.newPage();
      await page.goto(address);
      await page.getByRole('button', { name: /demo data/ }).click();
      await page.getByRole('button', { name: 'Skip the tour' }).click();
      await page.getByRole('heading', { name: 'Go?' }).waitFor();
      await page.goto(`${address}manifest.webmanifest`);
      await page.addScriptTag({ content: script });
      await page.evaluate(
        async ([e, n]) => {
          const bench = window as unknown as Bench;
          await bench.fill(e, n);
          await bench.days('sorrelvane', n);
        },
        [entries, outings] as const,
      );
      const until = async (room: string, text: RegExp) => {
        const t0 = performance.now();
        await page.goto(address + room, { waitUntil: 'commit' });
        await page.getByText(text).first().waitFor();
        return performance.now() - t0;
      };
      const first = await until('learn', /outings since/);
      const learn = await until('learn', /outings since/);
      const fish = await until('fish', /Start fishing/);
      await page.getByRole('button', { name: 'Start fishing' }).click();
      await page.getByRole('button', { name: 'Cast', exact: true }).waitFor();
      await page.waitForTimeout(2000);
      const casts: number[] = [];
      for (let n = 1; n <= 7; n++) {
        casts.push(await page.evaluate(castTold, n));
        await page.waitForTimeout(500);
      }
      await page.goto(`${address}learn`);
      const out = page.waitForEvent('download', { timeout: 300_000 });
      const t0 = performance.now();
      await page.getByRole('button', { name: /^Export everything/ }).click();
      await out;
      measured.push({
        'Learn, its sums not kept together yet': first,
        Learn: learn,
        Fish: fish,
        'a cast told': median(casts),
        'everything exported': performance.now() - t0,
      });
      await context.close();
    }
  });
  const [few, many] = measured as [Record<string, number>, Record<string, number>];
  table(
    `Screens beside ${EVENTS.toLocaleString('en-GB')} events, and beside forty outings`,
    ['what', 'ms', 'ratio'],
    Object.keys(many).map((what): [string, number, number] => [what, many[what]!, many[what]! / few[what]!]),
  );
}

/** In the page: how long from the tap until the cast is told, ms. */
const castTold = (n: number) =>
  new Promise<number>((told) => {
    const t0 = performance.now();
    const seen = new MutationObserver(() => {
      if (!document.body.innerText.includes(`${n === 1 ? '1 cast' : `${n} casts`} made`)) return;
      seen.disconnect();
      told(performance.now() - t0);
    });
    seen.observe(document.body, { subtree: true, childList: true, characterData: true });
    document.querySelector<HTMLElement>('[aria-label="Cast"]')!.click();
  });
