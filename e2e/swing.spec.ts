import type { Page } from '@playwright/test';
import { button, choose, expect, openDemo, swingWords, tab, test } from './helpers';

async function openRig(page: Page, run: RegExp): Promise<void> {
  await openDemo(page);
  await tab(page, 'Read').click();
  await button(page, run).click();
  await button(page, 'Choose the rig for it').click();
  await expect(swingWords(page)).toBeVisible();
}

test('what to change: a tap makes the change and the fly passes as wanted', async ({ page }) => {
  await openRig(page, /Giants’ Table/);
  const change = page.getByRole('button', { name: /right depth; slow enough.* · in (7|8|9|10) of 10 · / }).first();
  await expect(change).toBeVisible();
  await change.click();
  await expect(page.getByText('The fly passes as wanted')).toBeVisible();
});

test('drag on the picture to cast elsewhere, play, compare, read it as text', async ({ page }) => {
  await openRig(page, /Long Even/);
  const sheet = page.getByRole('img', { name: /^The swing from above/ });
  const angle = page.getByRole('slider', { name: 'Angle, from straight downstream' });
  const before = await angle.getAttribute('aria-valuenow');
  await button(page, 'Keep this swing to compare').click();
  await expect(page.getByText(/^Dotted:/)).toBeVisible();
  await sheet.scrollIntoViewIfNeeded();
  const box = (await sheet.boundingBox())!;
  await page.mouse.move(box.x + 0.5 * box.width, box.y + 0.92 * box.height);
  await page.mouse.down();
  await page.mouse.move(box.x + 0.6 * box.width, box.y + 0.85 * box.height, { steps: 4 });
  await page.mouse.up();
  await expect(angle).not.toHaveAttribute('aria-valuenow', before!);
  const strip = page.getByRole('slider', { name: /^Depth of the fly/ });
  await strip.focus();
  await page.keyboard.press('Home');
  await expect(strip).toHaveAttribute('aria-valuenow', '0');
  await button(page, 'Play the swing').click();
  await expect(strip).toHaveAttribute('aria-valuenow', /^[1-9]/);
  await button(page, 'Pause').click();
  await button(page, 'Read the swing second by second').click();
  await expect(page.getByRole('listitem').filter({ hasText: /^2 s: / })).toBeVisible();
});

test('with less motion nothing plays by itself; the seconds are gone through one by one', async ({ page }, info) => {
  test.skip(info.project.name !== 'phone', 'the same on both');
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await openRig(page, /Long Even/);
  await expect(button(page, 'Play the swing')).toHaveCount(0);
  const strip = page.getByRole('slider', { name: /^Depth of the fly/ });
  const at = Number(await strip.getAttribute('aria-valuenow'));
  await button(page, 'A second on').click();
  await expect(strip).toHaveAttribute('aria-valuenow', String(at + 1));
});

test('what moves the fly: vary one thing and read what it does', async ({ page }) => {
  await page.goto('/moves');
  await expect(page.getByText(/the angle moves the deepest point/)).toBeVisible();
  await choose(page, 'current');
  await expect(page.getByText(/the current moves the deepest point strongly/)).toBeVisible();
});

test('searches leave the page free and end within a tenth of a second', async ({ page }, info) => {
  test.skip(info.project.name !== 'wide', 'measured once');
  // Every call into a worker and its answer, with the time of each, and every task of the page over 50 ms.
  await page.addInitScript(() => {
    const calls: { id: string; name: string; at: number; job: unknown; doneAt?: number }[] = [];
    const long: number[] = [];
    Object.assign(window, { calls, long });
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
    new PerformanceObserver((list) => list.getEntries().forEach((e) => long.push(Math.round(e.duration)))).observe({
      type: 'longtask',
    });
  });
  await openRig(page, /Long Even/);
  const all = page.getByRole('button', { name: /^Try all \d+ combinations/ });
  await expect(all).toBeVisible();
  await page.waitForTimeout(3000); // the screen has settled, the first search is over
  await page.evaluate(() => void ((window as unknown as { long: number[] }).long.length = 0));
  await all.click();
  await expect(page.getByText(/[1-9]\d? % of \d+ swings/)).toBeVisible();
  await page.waitForTimeout(1000);
  await button(page, 'Stop trying combinations').click();
  await expect(all).toBeVisible();
  await page.waitForTimeout(500);
  const seen = await page.evaluate(() => {
    const w = window as unknown as {
      long: number[];
      calls: { name: string; at: number; job: unknown; doneAt?: number }[];
    };
    const jobs = w.calls.filter((c) => c.name === 'coarse');
    const ends = jobs.map((j) => {
      const cancel = w.calls.find((c) => c.name === 'cancel' && c.job === j.job);
      return cancel && j.doneAt ? j.doneAt - cancel.at : Infinity;
    });
    return { long: w.long, ends };
  });
  expect(seen.ends.length).toBeGreaterThan(0);
  expect(Math.max(...seen.ends)).toBeLessThan(100);
  expect(seen.long.filter((ms) => ms > 50)).toEqual([]);
});
