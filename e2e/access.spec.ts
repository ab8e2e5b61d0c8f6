import type { Page } from '@playwright/test';
import axe from 'axe-core';
import {
  button,
  castsMade,
  coversNoButton,
  expect,
  loadDemo,
  openDemo,
  openFishing,
  openRig,
  swingWords,
  tab,
  test,
  unfold,
} from './helpers';

/** What axe finds on a page; it is read into the page once, not for every look at it. */
async function clean(page: Page, where: string): Promise<void> {
  await expect(page.locator('[aria-modal=true]:not([role=dialog])')).toHaveCount(0); // a sheet that has only begun to open
  await expect(page.locator('[aria-modal]:not([role])')).toHaveCount(0); // a sheet that has just risen is no dialog yet
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  const { violations } = await page.evaluate(() =>
    (window as unknown as { axe: typeof axe }).axe.run({ resultTypes: ['violations'] }),
  );
  const told = violations.map((v) => `${where}: ${v.id} (${v.impact}): ${v.nodes.map((n) => n.html).join(' | ')}`);
  expect(told).toEqual([]);
  expect(await unspoken(page)).toEqual([]);
}

/** Controls whose name leaves out words that stand on them: who steers by voice says what is to be seen (WCAG 2.2, 2.5.3). */
const unspoken = (page: Page) =>
  page.evaluate(() => {
    const plain = (text: string) =>
      text
        .toLowerCase()
        .replace(/[^\p{L}\p{N}]+/gu, ' ')
        .trim();
    return [...document.querySelectorAll('[aria-label]')].flatMap((control) => {
      if (!['button', 'link', 'radio', 'checkbox'].includes(control.getAttribute('role') ?? '')) return [];
      const name = plain(control.getAttribute('aria-label')!);
      const texts = document.createTreeWalker(control, NodeFilter.SHOW_TEXT);
      const missing: string[] = [];
      while (texts.nextNode()) {
        const { parentElement, textContent } = texts.currentNode;
        const seen = plain(textContent ?? '');
        if (parentElement?.closest('svg, [aria-hidden]') || seen === '' || ` ${name} `.includes(` ${seen} `)) continue;
        missing.push(`${control.getAttribute('aria-label')}: ${seen}`);
      }
      return missing;
    });
  });

/** Another screen, as a link within the application leads there: what is loaded stays. */
const visit = (page: Page, at: string) =>
  page.evaluate((to) => {
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate', { state: null }));
  }, at);

test('axe finds nothing: plan, from an empty start, and waters', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByText('No water yet')).toBeVisible();
  await clean(page, 'plan, empty');
  await loadDemo(page);
  await clean(page, 'plan');
  await button(page, 'Settings').click();
  await expect(page.getByRole('heading', { name: 'Settings' })).toBeVisible();
  await clean(page, 'settings');
  await visit(page, '/water?id=talluquin');
  await expect(page.getByLabel('Place: latitude, longitude')).toBeVisible();
  await clean(page, 'water');
  await visit(page, '/waters');
  await expect(page.getByRole('list', { name: /^Waters/ }).getByRole('listitem')).toHaveCount(4);
  await clean(page, 'which water');
  await page
    .getByRole('button', { name: /^Add word of mouth/ })
    .first()
    .click();
  await clean(page, 'hearsay');
  await visit(page, '/day');
  await expect(page.getByRole('heading', { name: 'Before you go' })).toBeVisible();
  await clean(page, 'the day by the clock');
  await visit(page, '/season');
  await expect(page.getByRole('list', { name: 'Month by month' })).toBeVisible();
  await clean(page, 'the season');
  await visit(page, '/pack');
  await expect(page.getByText(/left to pack/)).toBeVisible();
  await clean(page, 'what to pack');
});

test('axe finds nothing: runs', async ({ page }) => {
  await openDemo(page, '/read');
  await expect(button(page, /Long Even/)).toBeVisible();
  await clean(page, 'runs');
  await visit(page, '/read/new');
  await expect(page.getByLabel('Name of the run')).toBeVisible();
  await clean(page, 'new run');
  await visit(page, '/read/long-even');
  await expect(page.getByText('Where fish hold')).toBeVisible();
  await clean(page, 'run');
  await button(page, 'New reading').click();
  await clean(page, 'reading');
  await visit(page, '/read/long-even/edit');
  await expect(button(page, 'Add a section below')).toBeVisible();
  await clean(page, 'edit run');
  await visit(page, '/read/long-even/compare');
  await expect(page.getByText(/(moves|stays|gone|New at).*m\/s to/).first()).toBeVisible();
  await clean(page, 'two days');
});

test('axe finds nothing: rig', async ({ page }) => {
  await openRig(page, 'long-even');
  await expect(swingWords(page)).toBeVisible();
  await clean(page, 'rig');
  await button(page, /^Runner-up/).click();
  await clean(page, 'the answer');
  await unfold(page, 'Change the rig');
  await unfold(page, 'Change the cast');
  await clean(page, 'rig, opened');
  await page.getByRole('button', { name: 'How the fly is fished, Swing' }).click();
  await clean(page, 'ways to show the fly');
  await button(page, 'Close').click();
  await visit(page, '/schools');
  await expect(page.getByText('What a mend is for')).toBeVisible();
  await clean(page, 'schools');
});

test('axe finds nothing: bag', async ({ page }) => {
  await openDemo(page, '/bag');
  await expect(page.getByLabel('Search the bag')).toBeVisible();
  await button(page, /^Show and sort/).click();
  await clean(page, 'bag');
  await visit(page, '/bag?item=fly-08');
  await expect(page.getByText('What a fish sees')).toBeVisible();
  await clean(page, 'a fly');
  await visit(page, '/bag?item=leader-long');
  await expect(page.getByText('Piece 1: butt')).toBeVisible();
  await clean(page, 'a leader');
  await visit(page, '/bag/means');
  await expect(page.getByText('Casts you can make')).toBeVisible();
  await clean(page, 'what you can do');
  await visit(page, '/rig-card');
  await expect(page.getByRole('heading', { name: 'Loop to loop' })).toBeVisible();
  await clean(page, 'rig card');
});

test('axe finds nothing: fish', async ({ page }) => {
  await openFishing(page);
  await clean(page, 'fish');
  await button(page, 'Take').click();
  await clean(page, 'take');
  await button(page, 'Close').click();
  await button(page, 'Change').click();
  await expect(page.getByText(/^Worth trying: a different/).first()).toBeVisible();
  await page.getByRole('radio', { name: 'how it’s fished' }).click();
  await clean(page, 'change');
  await button(page, 'Close').click();
  await button(page, 'Other options').click();
  await clean(page, 'otherwise');
  await page.getByRole('button', { name: /^Time and thoroughness/ }).click();
  await expect(page.getByText('Covers', { exact: true })).toBeVisible();
  await clean(page, 'time and patience');
  await button(page, 'Close').click();
  await button(page, 'More').click();
  await page.getByRole('button', { name: /^Take a new reading/ }).click();
  await clean(page, 'the water now');
});

test('axe finds nothing: learn', async ({ page }) => {
  await openDemo(page, '/learn');
  await expect(page.getByText('40 outings', { exact: false })).toBeVisible();
  await clean(page, 'learn');
  await page.getByRole('list', { name: 'Fish landed' }).getByRole('button').first().click();
  await expect(page.getByText(/^Pale: water the fly swung through/)).toBeVisible();
  await clean(page, 'an outing');
  await page
    .getByRole('button', { name: /Take: landed/ })
    .first()
    .click();
  await clean(page, 'an entry');
  await button(page, 'Close').click();
  await button(page, /^Share outing/).click();
  await clean(page, 'sharing');
  await button(page, 'Close').click();
  await button(page, /^Split outing/).click();
  await clean(page, 'splitting');
  await visit(page, '/learn/ask');
  await expect(page.getByRole('list', { name: 'Worth trying' })).toBeVisible();
  await clean(page, 'asking the log');
  await button(page, /^Compare, /).click();
  await clean(page, 'what to compare');
  await button(page, 'Close').click();
  await visit(page, '/learn/year');
  await expect(page.getByRole('img', { name: /^Water temperature by time of day/ })).toBeVisible();
  await clean(page, 'pictures');
  await visit(page, '/learn/new');
  await expect(button(page, 'Save day')).toBeVisible();
  await button(page, 'Fish landed, more').click();
  await clean(page, 'a past day');
  await visit(page, '/learn/sheet');
  const chooser = page.waitForEvent('filechooser');
  await button(page, 'Choose the file').click();
  const sheet = 'date;water;casts;caught\n3.4.2019;Talluquin;80;1\nsoon;Zwirrelbach;80;0\n';
  await (await chooser).setFiles({ name: 'log.csv', mimeType: 'text/csv', buffer: Buffer.from(sheet) });
  await expect(page.getByText('Row by row')).toBeVisible();
  await clean(page, 'a spreadsheet');
  await visit(page, '/learn/practice');
  await expect(button(page, /^Where do they hold\?/)).toBeVisible();
  await clean(page, 'the practice ground');
  await button(page, /^Where do they hold\?/).click();
  await expect(page.getByRole('img', { name: /^An invented / })).toBeVisible();
  await clean(page, 'a round');
  await button(page, 'Back to the practice ground').click();
  await button(page, /^The casting hour/).click();
  await button(page, 'Cast').click();
  await expect(page.getByText(/^Cast 1: /)).toBeVisible();
  await clean(page, 'a casting hour');
  await button(page, 'End the hour').click();
  await expect(page.getByText(/of 100 marks\.$/)).toBeVisible();
  await clean(page, 'an hour’s end');
  await button(page, 'Back to the practice ground').click();
  await button(page, /^Next, Wading/).click();
  await expect(page.getByText('Step 1 of 5')).toBeVisible();
  await clean(page, 'a lesson');
  await visit(page, '/moves');
  await expect(page.getByText(/moves the deepest point/)).toBeVisible();
  await clean(page, 'what moves the fly');
});

test('axe finds nothing in the wide frame', { tag: '@wide-only' }, async ({ page }) => {
  await openDemo(page, '/rig');
  await expect(swingWords(page)).toBeVisible();
  await clean(page, 'rig, wide');
  await page.goto('/learn');
  await page.getByRole('list', { name: 'Fish landed' }).getByRole('button').first().click();
  await expect(page.getByText(/^Pale: water the fly swung through/)).toBeVisible();
  await clean(page, 'an outing, wide');
});

test('axe finds nothing in either theme’s components', async ({ page }) => {
  await page.goto('/components');
  await expect(page.getByText('Display 34')).toBeVisible();
  await clean(page, 'components, daylight');
  await page.getByRole('radio', { name: 'dusk' }).click();
  await clean(page, 'components, dusk');
});

// 0.1 is what Core Web Vitals call a good cumulative layout shift.
test('what comes late pushes nothing from under the thumb', async ({ page }) => {
  await page.addInitScript(() => {
    const at = window as unknown as { moved: number };
    at.moved = 0;
    new PerformanceObserver((list) => {
      for (const e of list.getEntries() as (PerformanceEntry & { value: number })[]) at.moved += e.value;
    }).observe({ type: 'layout-shift', buffered: true });
  });
  await openDemo(page);
  for (const [at, last] of [
    ['/', page.getByText('Likely (4 times in 5)')],
    ['/learn', page.getByRole('list', { name: 'Rates' })],
    ['/rig', page.getByText(/^Position 1 of/)],
    ['/moves', page.getByText(/moves the deepest point/)],
    ['/waters', page.getByText(/^Best first: by colour|^Sort again/)], // all are known
  ] as const) {
    await page.goto(at);
    await expect(last).toBeVisible();
    expect(await page.evaluate(() => (window as unknown as { moved: number }).moved), at).toBeLessThan(0.1);
  }
});

test('what is chosen stands out in one’s own colours, too', async ({ page }) => {
  await page.goto('/settings');
  await page.emulateMedia({ forcedColors: 'active' });
  const ground = (checked: boolean) =>
    page
      .getByRole('radiogroup', { name: 'Units' })
      .getByRole('radio', { checked })
      .first()
      .evaluate((e) => [getComputedStyle(e).backgroundColor, getComputedStyle(e.querySelector('[dir]')!).color].join());
  expect(await ground(true)).not.toBe(await ground(false));
});

// Reflow: no two ways of scrolling at a width of 320 px, which is 1280 at 400 % (WCAG 2.2, 1.4.10).
test('on the narrowest screen nothing scrolls sideways', async ({ page }) => {
  await page.setViewportSize({ width: 320, height: 640 });
  await openDemo(page);
  for (const at of [
    '/',
    '/waters',
    '/day',
    '/read/long-even',
    '/read/long-even/edit',
    '/rig',
    '/fish',
    '/learn',
    '/bag',
  ]) {
    await visit(page, at);
    await expect(page.getByRole('main').filter({ visible: true }).first()).toBeVisible();
    await page.waitForTimeout(500);
    const wider = await page.evaluate(() =>
      [...document.querySelectorAll('*')].flatMap((e) =>
        e.scrollWidth > innerWidth + 1 &&
        e.clientWidth > 0 &&
        getComputedStyle(e).overflowX !== 'hidden' &&
        !e.closest('svg')
          ? [`${e.tagName} ${e.getAttribute('aria-label') ?? e.textContent?.slice(0, 40)}: ${e.scrollWidth}`]
          : [],
      ),
    );
    expect(wider, at).toEqual([]);
  }
});

test('the keyboard does the job on a wide screen', { tag: '@wide-only' }, async ({ page }) => {
  await openDemo(page);
  await tab(page, 'Rig').focus();
  await page.keyboard.press('Enter');
  await expect(swingWords(page)).toBeVisible();
  // The answer has come, and no longer alters what is set.
  await expect(page.getByRole('heading', { name: 'How to fish it, and why' })).toBeVisible();
  await expect(page.getByText(/Choosing your rig/)).toBeHidden();
  const angle = page.getByRole('slider', { name: 'Angle, from straight downstream' });
  await angle.focus();
  const before = Number(await angle.getAttribute('aria-valuenow'));
  await page.keyboard.press('ArrowRight');
  await expect(angle).toHaveAttribute('aria-valuenow', String(before + 1));
  await page.keyboard.press('Home');
  await expect(angle).toHaveAttribute('aria-valuenow', '10');
  // Ten degrees from straight down may show the fly to nothing: back, by fives.
  for (let five = 0; five < 10; five++) await page.keyboard.press('PageUp');
  await expect(angle).toHaveAttribute('aria-valuenow', '60');
  // Digits lead to the rooms; a question mark tells of all keys.
  await page.keyboard.press('Escape');
  await page.locator('body').click({ position: { x: 5, y: 5 } });
  await page.keyboard.press('5');
  await expect(page.getByRole('heading', { name: 'Learn', level: 1 })).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByText('log the cast')).toBeVisible();
  await page.keyboard.press('2'); // behind a sheet nothing moves
  await page.keyboard.press('Escape');
  await expect(page.getByText('log the cast')).toBeHidden();
  await expect(page.getByRole('heading', { name: 'Learn', level: 1 })).toBeVisible();
  await openFishing(page);
  await page.keyboard.press('c');
  await page.keyboard.press('c');
  await expect(castsMade(page, 2)).toBeVisible();
  await page.keyboard.press('u');
  await expect(castsMade(page, 1)).toBeVisible();
  await button(page, 'Touched the bed').click();
  await expect(page.getByText('Bed touch noted.')).toBeVisible();
  await coversNoButton(page, 'Bed touch noted.');
  await page.keyboard.press('t');
  await expect(page.getByText('Where on the swing?')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByText('Where on the swing?')).toBeHidden();
});
