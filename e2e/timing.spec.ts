// What is timed runs last and alone (playwright.config.ts), against a yardstick of the same minute: other machines, and
// this one while it is busy, are slower in both.
import fs from 'node:fs';
import type { Page } from '@playwright/test';
import { button, choose, expect, openAnswered, openDemo, swingWords, tab, test } from './helpers';
import { within } from './pace';

const median = (xs: number[]) => [...xs].sort((a, b) => a - b)[Math.floor(xs.length / 2)]!;

/** Milliseconds that a fixed piece of work takes in this page now: some 14 here. */
const yardstickMs = (page: Page) =>
  page.evaluate(() => {
    const t0 = performance.now();
    let x = 0;
    for (let i = 0; i < 4e5; i++) x += Math.sin(i) * Math.sqrt(i + x * x);
    return x === 0 ? Infinity : performance.now() - t0;
  });

/** From now on every task of the page over 50 ms is noted, ms. */
const watchLongTasks = (page: Page) =>
  page.evaluate(() => {
    const long: number[] = [];
    Object.assign(window, { long });
    new PerformanceObserver((list) => list.getEntries().forEach((e) => long.push(Math.round(e.duration)))).observe({
      type: 'longtask',
    });
  });
const longTasks = (page: Page) => page.evaluate(() => (window as unknown as { long: number[] }).long);

/** From a key on the level's slider to the first frame whose sheet is drawn anew, several times; and yardsticks between them, ms. */
async function redraws(page: Page): Promise<{ times: number[]; yards: number[] }> {
  const level = page.getByRole('slider', { name: /^Level/ });
  await level.focus();
  await page.keyboard.press('ArrowRight');
  await page.waitForTimeout(1500);
  const times: number[] = [];
  const yards: number[] = [];
  for (let i = 0; i < 9; i++) {
    yards.push(await yardstickMs(page));
    times.push(
      await level.evaluate(
        (slider) =>
          new Promise<number>((resolve) => {
            const sheet = document.querySelector('[aria-label*="from above"]')!;
            const was = sheet.innerHTML;
            const t0 = performance.now();
            const look = () =>
              sheet.innerHTML === was ? requestAnimationFrame(look) : resolve(performance.now() - t0);
            slider.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', bubbles: true }));
            requestAnimationFrame(look);
          }),
      ),
    );
    await page.waitForTimeout(500);
  }
  // The first two still warm up.
  return { times: times.slice(2), yards: yards.slice(2) };
}

test('the level slider redraws within a few yardsticks; searches leave the page free and end within a tenth of a second', async ({
  page,
}) => {
  // Every call into a worker and its answer, with the time of each, and every task of the page over 50 ms.
  await page.addInitScript(() => {
    const calls: { id: string; name: string; at: number; job: unknown; doneAt?: number }[] = [];
    const long: PerformanceEntry[] = [];
    Object.assign(window, { calls, long });
    // One worker on any machine: with more of them all is tried before a hand can end it.
    Object.defineProperty(navigator, 'hardwareConcurrency', { value: 2 });
    const Base = window.Worker;
    window.Worker = class extends Base {
      constructor(url: string | URL, o?: WorkerOptions) {
        super(url, o);
        this.addEventListener('message', (e) => {
          const c = calls.find((k) => k.id === e.data?.id);
          if (c) c.doneAt = performance.now();
        });
        const post = this.postMessage.bind(this);
        this.postMessage = (...args: unknown[]) => {
          const { id, path, argumentList } = args[0] as {
            id: string;
            path?: string[];
            argumentList?: { value: unknown }[];
          };
          if (path) calls.push({ id, name: path[0]!, at: performance.now(), job: argumentList?.[0]?.value });
          post(...(args as [unknown]));
        };
      }
    };
    new PerformanceObserver((list) => void long.push(...list.getEntries())).observe({ type: 'longtask' });
  });
  await openAnswered(page, 'long-even');
  const { times, yards } = await redraws(page);
  expect(median(times)).toBeLessThan(8 * median(yards));
  await button(page, 'Choose the rig for it').click();
  await expect(swingWords(page)).toBeVisible();
  // The answer is in and shown: whatever has been asked of a worker is answered, and nothing else is asked for a second.
  await page.waitForFunction(
    () => {
      const { calls } = window as unknown as { calls: { at: number; doneAt?: number }[] };
      return calls.length > 0 && calls.every((c) => c.doneAt && performance.now() - c.doneAt > 1000);
    },
    null,
    within(40_000),
  );
  // Those that sliding asked for, and ended while their worker was still beginning, are none of them.
  const askedFrom = await page.evaluate(() => performance.now());
  await choose(page, 'the smallest change');
  await expect(page.getByText(/Choosing your rig… [1-9]/)).toBeVisible();
  // While it searches; what looks for words in the page takes its time there, too, and is told of later.
  const long = await page.evaluate(async () => {
    const from = performance.now();
    await new Promise((r) => setTimeout(r, 700));
    const { long } = window as unknown as { long: PerformanceEntry[] };
    return long.flatMap((e) => (e.startTime >= from ? [Math.round(e.duration)] : []));
  });
  await choose(page, 'casts for this rig');
  await page.waitForTimeout(500);
  const ends = await page.evaluate((from) => {
    const { calls } = window as unknown as { calls: { name: string; at: number; job: unknown; doneAt?: number }[] };
    const searches = calls.filter((c) => c.name === 'answer' && c.at >= from);
    return calls.flatMap((c) => {
      const ended = c.name === 'cancel' && searches.find((s) => s.job === c.job);
      return ended ? [ended.doneAt ? ended.doneAt - c.at : Infinity] : [];
    });
  }, askedFrom);
  expect(ends).toHaveLength(1);
  const yard = await yardstickMs(page);
  expect(Math.max(...ends)).toBeLessThan(Math.max(100, 7 * yard));
  expect(long.filter((ms) => ms > Math.max(50, 3.5 * yard))).toEqual([]);
});

test('a year of every gauge is read beside the page; so is a file of tens of megabytes, which can be ended, and is refused at its last entry', async ({
  page,
}, info) => {
  // No run is open behind it: its answer would be worked out, and come in, meanwhile.
  await openDemo(page);
  await watchLongTasks(page);
  await button(page, /^Which water/).click();
  await expect(page.getByText(/^Best first: by colour|^Sort again/)).toBeVisible();
  // The page itself takes some seven of them to draw what it has been told; a year read on it took seventeen.
  const heard = await longTasks(page);
  const unit = await yardstickMs(page);
  expect(heard.filter((ms) => ms > Math.max(150, 11 * unit))).toEqual([]);
  await button(page, 'Back to the plan').click();
  await tab(page, 'Learn').click();
  await expect(page.getByText('40 outings', { exact: false })).toBeVisible();
  // Thirty megabytes of notes; the last one is damaged.
  const event = (id: number, text: string) =>
    `{"id":"e${id}","at":${id},"runId":null,"xM":null,"yM":null,"rig":null,"kind":"note","text":"${text}"}`;
  const events = Array.from({ length: 30_000 }, (_, i) => event(i, 'x'.repeat(900)));
  // From a file: handing the text over would cost the page more than reading it.
  const file = info.outputPath('large.json');
  fs.writeFileSync(
    file,
    `{"format":"wanderung-backup","version":2,"exportedAt":"","records":{"outing":[{"v":1,"savedAt":1,"data":{"id":"o","waterId":"w","startedAt":1,"endedAt":null,"notes":""}}]},"logs":[{"outingId":"o","versions":{"event":2,"rig":1,"reading":2},"events":[${[...events, event(-1, '')].join()}]}]}`,
  );
  const give = async () => {
    const chooser = page.waitForEvent('filechooser');
    await button(page, /Import a backup/).click();
    await (await chooser).setFiles(file);
  };
  await page.evaluate(() => void ((window as unknown as { long: number[] }).long.length = 0));
  await give();
  await expect(page.getByText(/^Reading the file: [1-9]\d? %/)).toBeVisible();
  await button(page, 'Stop reading the file').click();
  await expect(page.getByText(/^Reading the file/)).toBeHidden();
  await give();
  await expect(page.getByText(/logs\[0\], event 30001: at must be/)).toBeVisible();
  const long = await longTasks(page);
  const yard = await yardstickMs(page);
  expect(long.filter((ms) => ms > Math.max(100, 7 * yard))).toEqual([]);
  await expect(page.getByText('40 outings', { exact: false })).toBeVisible();
});
