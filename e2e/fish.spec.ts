import type { Page } from '@playwright/test';
import { button, castsMade, choose, coversNoButton, expect, openFishing, setClock, tab, test } from './helpers';
import { within } from './pace';

/** What the script does, counted as it goes; the log must come to the same. */
interface Sums {
  casts: number;
  takes: number;
  changes: number;
  rests: number;
}

/** On the demo’s run with the plan, before the first cast. */
async function fishing(page: Page): Promise<Sums> {
  await openFishing(page);
  return { casts: 0, takes: 0, changes: 0, rests: 0 };
}

/** Casts without looking up, the count told in the end: the first by touch, the others as fast as the screen takes them. */
async function cast(page: Page, sums: Sums, n: number): Promise<void> {
  await button(page, 'Cast').click();
  await button(page, 'Cast').evaluate(async (el, more) => {
    for (let i = 0; i < more; i++) {
      await new Promise(requestAnimationFrame);
      (el as HTMLElement).click();
    }
  }, n - 1);
  sums.casts += n;
  await expect(castsMade(page, sums.casts)).toBeVisible();
}

async function take(page: Page, sums: Sums, what: string): Promise<void> {
  await button(page, 'Take').click();
  await choose(page, what);
  await button(page, 'Log take').click();
  await expect(page.getByText('Take logged.')).toBeVisible();
  sums.takes++;
}

async function change(page: Page, sums: Sums, part: string, to: RegExp, says: RegExp): Promise<void> {
  await button(page, 'Change').click();
  await choose(page, part);
  await page.getByRole('button', { name: to }).filter({ visible: true }).first().click();
  await expect(page.getByText(says).first()).toBeVisible();
  sums.changes++;
}

/** The next move, in large words. */
const moveOn = (page: Page) => page.locator('[aria-live=polite]').filter({ visible: true }).first();
/** What stands in the list of casts and takes on the screen. */
const fact = (page: Page, name: string) =>
  page.getByText(name, { exact: true }).locator('xpath=following-sibling::*[1]');

test('the next move stays in sight while one reads what stands below it', async ({ page }) => {
  await fishing(page);
  const move = page.getByRole('heading', { level: 1 });
  await expect(move).toHaveText(/^Start \d+ m down$/);
  await page
    .getByText(/^(Make a new cast plan|No reading today|Water of)/)
    .last()
    .scrollIntoViewIfNeeded();
  await page.getByRole('main').hover();
  await page.mouse.wheel(0, 2000);
  await expect(move).toBeInViewport({ ratio: 1 });
  await button(page, 'Cast').click();
  await expect(move).toHaveText(/^(Step|Lengthen|Walk|Same cast|Cast \d+°)/);
  await expect(move).toBeInViewport({ ratio: 1 });
});

test('the day’s plan goes on while one fishes: planned from here, the next run told', async ({ page }) => {
  await fishing(page);
  await button(page, /^The rest of the day, Plan it from here/).click();
  await expect(page.getByText('Day planned from here.')).toBeVisible();
  const next = button(page, /^Next on your plan, (Long Even|Giants’ Table) at \d\d:\d\d/);
  await expect(next).toBeVisible();
  await next.click();
  const day = page.getByRole('list', { name: 'The day by the clock' });
  await expect(day.getByText('Millrace Step').first()).toBeVisible();
  await expect(button(page, 'Reset to proposal')).toBeVisible();
  // Who stays on for longer than was meant is told so, and plans the rest again with a tap.
  await setClock(page.context(), 100 * 60_000);
  await page.goto('/fish');
  const late = button(page, /^\d+ min behind your plan, /);
  await expect(late).toBeVisible();
  await late.click();
  await expect(page.getByText('Day planned from here.')).toBeVisible();
  await expect(late).toBeHidden();
});

test('after a pluck: the same cast, a rest with its end, a smaller fly, and on; juveniles are left', async ({
  page,
}) => {
  const sums = await fishing(page);
  const bed = button(page, 'Touched the bed');
  await bed.click();
  await expect(page.getByText('Bed touch noted.')).toBeVisible();
  await bed.click(within(2000)); // what was noted covers no button: a second touch can be noted at once
  await coversNoButton(page, 'Bed touch noted.');
  await cast(page, sums, 3);
  for (const name of [
    'Same cast',
    'Other options',
    'Cast',
    'Take',
    'Change',
    'Undo the last entry',
    'Juvenile',
    'More',
  ]) {
    const box = (await button(page, name).boundingBox())!;
    expect(box.height, name).toBeGreaterThanOrEqual(48);
    expect(box.width, name).toBeGreaterThanOrEqual(48);
    expect(box.y, `${name} within a thumb’s reach`).toBeGreaterThan(844 * 0.55);
  }
  const move = moveOn(page);
  await take(page, sums, 'pluck');
  await expect(move).toHaveText('Same cast');
  await expect(page.getByText(/After a pluck: the same cast at once/)).toBeVisible();
  await cast(page, sums, 1);
  await expect(move).toHaveText('Rest the lie 5 min');
  await button(page, 'Rest 5 min').click();
  await expect(move).toHaveText(/^Rest until \d\d:\d\d$/);
  await expect(page.getByText(/^4:\d\d left$/)).toBeVisible();
  // Nothing is dead: who does not wait casts.
  await cast(page, sums, 1);
  await expect(move).toHaveText('A smaller fly');
  const before = await page.getByText(/ on .* · \d\d:\d\d$/).textContent();
  await button(page, 'Tie it on').click();
  await expect(page.getByText(/^Now /)).toBeVisible();
  expect(await page.getByText(/ on .* · \d\d:\d\d$/).textContent()).not.toBe(before);
  await expect(page.getByText('The same cast with the new fly.')).toBeVisible();
  await cast(page, sums, 1);
  await expect(page.getByText('The same cast with the new fly.')).toBeHidden();
  for (let n = 0; n < 3; n++) await button(page, 'Juvenile').click();
  await expect(move).toHaveText('Leave the young fish');
  await expect(page.getByText(/Young fish swarm here/)).toBeVisible();
});

test('one’s own way: skip to a lie, stand elsewhere by the picture and by the device, a fan, the lane, again', async ({
  page,
}) => {
  const sums = await fishing(page);
  await cast(page, sums, 2);
  const move = moveOn(page);
  const other = async (name: RegExp) => {
    await button(page, 'Other options').click();
    await page.getByRole('button', { name }).click();
  };
  await button(page, 'Same cast').click();
  sums.casts++;
  await expect(castsMade(page, sums.casts)).toBeVisible();
  await other(/^Fan from here/);
  await expect(move).toHaveText(/^Fan: cast at \d+°$/);
  await cast(page, sums, 5);
  await expect(move).not.toHaveText(/^Fan/);
  await other(/^Same lane/);
  await cast(page, sums, 1);
  await expect(move).toHaveText(/^Same lane/);
  await button(page, 'Undo the last entry').click(); // the cast
  sums.casts--;
  await button(page, 'Undo the last entry').click(); // the lane
  await expect(move).not.toHaveText(/^Same lane/);
  await other(/^I’m standing here/);
  await expect(move).toHaveText('Tap where you stand');
  const sheet = page.getByRole('img', { name: /from above/ });
  const box = (await sheet.boundingBox())!;
  await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
  await expect(page.getByText('Cast from here.')).toBeVisible();
  await cast(page, sums, 1);
  await other(/^I’m where this device says/);
  await expect(page.getByText(/^You stand \d+ m down, give or take \d+ m\./)).toBeVisible();
  await button(page, 'Other options').click();
  await choose(page, '1');
  await expect(page.getByText('On to lie 1.')).toBeVisible();
  await other(/^Go through again/);
  await expect(page.getByText('From the first cast again.')).toBeVisible();
  await button(page, 'More').click();
  await button(page, 'Take a new reading. Clearer, dirtier, higher, warmer').click();
  await choose(page, 'dirtier');
  await expect(page.getByText(/^Reading saved/)).toBeVisible();
  await button(page, 'More').click();
  await page.getByRole('button', { name: /^Thunder/ }).click();
  await expect(page.getByText(/^Thunder: rod down, off the water/)).toBeVisible();
});

test('a fair trial of two flies: told when to swap, counted apart, ended; and the day ended', async ({ page }) => {
  const sums = await fishing(page);
  await button(page, 'Change').click();
  await choose(page, 'fair trial, 10 casts each in turn');
  await page.getByRole('button', { name: /^purple egg-sucking leech/ }).click();
  await cast(page, sums, 9);
  await take(page, sums, 'landed');
  await expect(
    page.getByText(/^Fair trial: black .* 1 take in 9 casts, the other 0 takes in 0 casts\. Too few takes to say\.$/),
  ).toBeVisible();
  await cast(page, sums, 1);
  await expect(moveOn(page)).toHaveText('Switch for the trial');
  await button(page, 'Switch now').click();
  await expect(page.getByText(/ · purple egg-sucking leech on/)).toBeVisible();
  await cast(page, sums, 4);
  await expect(page.getByText(/1 take in 10 casts, purple .* 0 takes in 4 casts\. Too few/)).toBeVisible();
  await button(page, 'Other options').click();
  await button(page, 'End the fair trial').click();
  await expect(page.getByText(/^Fair trial: /)).toBeHidden();
  await button(page, 'More').click();
  await button(page, 'End the day').click();
  // The day that was ended is what one reads next; Fish stands at the beginning again.
  await expect(page.getByText(/· 14 casts, 1 take, 1 landed/)).toBeVisible();
  await expect(
    page.getByText(/^Fair trial: black .* 1 take in 10 casts, purple .* 0 takes in 4 casts\./),
  ).toBeVisible();
  await tab(page, 'Fish').click();
  await expect(button(page, 'Start fishing')).toBeVisible();
});

test('a fair trial that is set up under Learn waits at the river: tied on, then begun', async ({ page }) => {
  await fishing(page);
  await page.goto('/learn/ask');
  await expect(page.getByText(/^Black against \w+/)).toBeVisible();
  // A brown fly of this bag has a barb, which is not allowed here: the other is white.
  await button(page, /^Against, /).click();
  await button(page, /^White, /).click();
  await button(page, /^Set up a fair trial/).click();
  const waits = button(page, /^Fair trial, set up under Learn/);
  await expect(waits).toBeVisible();
  const [, first] = /trial, set up under Learn, (.+) against /.exec((await waits.getAttribute('aria-label')) ?? '')!;
  if (await page.getByText(`Tap once ${first} is tied on`).isVisible()) await waits.click();
  await expect(page.getByText('Tap to begin: 10 casts each in turn')).toBeVisible();
  await waits.click();
  await expect(
    page.getByText(/^Fair trial: .* 0 takes in 0 casts, .* 0 takes in 0 casts\. Too few takes/),
  ).toBeVisible();
  await expect(waits).toBeHidden();
});

test('what one’s casts showed is kept: two ways asked, a trial of them set up; how fish take', async ({ page }) => {
  const sums = await fishing(page);
  // The cast plan is worked out by now: what the casts show of the run is known.
  await expect(fact(page, 'Water covered')).toHaveText(/\d %/, within(20_000));
  await cast(page, sums, 6);
  await change(page, sums, 'how it’s fished', /^Strip,/, /Fished by strip from now on/);
  await page.waitForTimeout(1500); // as long as nobody casts: what comes next is simulated meanwhile
  await cast(page, sums, 1);
  await take(page, sums, 'pluck');
  await page.goto('/learn/ask');
  const howFar = page.getByText(
    /^1 take in \d+ casts?: too few to tell how far up, how far to the side, how fast across/,
  );
  await expect(howFar).toBeVisible();
  await expect(page.getByText(/^As assumed: half of the willing ones come up/)).toBeVisible();
  await button(page, /^Compare, /).click();
  await button(page, 'How it was fished').click();
  await button(page, /^Set up a fair trial\. swing against strip/).click();
  const waits = button(page, /^Fair trial, set up under Learn, swing against strip/);
  await waits.click();
  await expect(
    page.getByText(/^Fair trial: strip 0 takes in 0 casts, swing 0 takes in 0 casts\. Too few takes/),
  ).toBeVisible();
  await expect(waits).toBeHidden();
});

test('a day that was not ended is asked about the next morning, and ends with its last entry', async ({ page }) => {
  await fishing(page);
  await button(page, 'Cast').click();
  await expect(castsMade(page, 1)).toBeVisible();
  await setClock(page.context(), 20 * 3_600_000);
  await page.goto('/fish');
  await expect(page.getByRole('heading', { name: 'Fri 27 Nov is still open' })).toBeVisible();
  await expect(page.getByText(/^1 cast, last entry at/)).toBeVisible();
  await button(page, /^End the day at/).click();
  await expect(page.getByText(/^Fri 27 Nov ended at/)).toBeVisible(); // stored
  await page.reload();
  await expect(button(page, 'Start fishing')).toBeVisible();
  await tab(page, 'Learn').click();
  await expect(page.getByText('41 outings since')).toBeVisible();
});

test.describe('without a signal', () => {
  test.use({ serviceWorkers: 'allow', expectedErrors: /INTERNET_DISCONNECTED/ });

  test('a day by touch without a signal: every cast, take, change and rest of it is in the log', async ({
    page,
    context,
  }) => {
    const sums = await fishing(page);
    await page.evaluate(() => navigator.serviceWorker?.ready);
    await context.setOffline(true);
    // Down: 120 casts, three changes, five takes, a rest.
    await cast(page, sums, 25);
    await take(page, sums, 'landed');
    await change(page, sums, 'the fly', /^purple egg-sucking leech/, / · purple egg-sucking leech on/);
    await cast(page, sums, 25);
    await take(page, sums, 'lost');
    await page.reload();
    await expect(castsMade(page, 50)).toBeVisible();
    await cast(page, sums, 20);
    await take(page, sums, 'pluck');
    await cast(page, sums, 1);
    await button(page, /^Rest \d+ min$/).click();
    sums.rests++;
    await cast(page, sums, 19);
    await change(page, sums, 'the tip', /^10 ft slow/, /10 ft slow/);
    await cast(page, sums, 15);
    await take(page, sums, 'hooked');
    await change(page, sums, 'the fly', /^black rabbit strip/, / · black rabbit strip on/);
    await cast(page, sums, 15);
    await take(page, sums, 'landed');
    expect(sums).toEqual({ casts: 120, takes: 5, changes: 3, rests: 1 });
    await expect(fact(page, 'Casts')).toHaveText('120');
    await expect(fact(page, 'Takes')).toHaveText('5');
    // Up again, with a strip: 60 casts, two changes, two takes, a rest; the browser ends in the middle.
    await change(page, sums, 'how it’s fished', /^Upstream strip/, /^Fished by upstream strip/);
    await expect(page.getByText(/°.*upstream strip/)).toBeVisible();
    await cast(page, sums, 30);
    await take(page, sums, 'landed');
    await page.close();
    const again = await context.newPage();
    await again.goto('/fish');
    await expect(castsMade(again, 150)).toBeVisible();
    await expect(again.getByText(/°.*upstream strip/)).toBeVisible();
    const up: number[] = [];
    for (let n = 0; n < 10; n++) {
      await button(again, 'Cast').click();
      sums.casts++;
      const at = /the next cast from (\d+) m down/.exec(
        (await again.getByRole('img', { name: /from above/ }).getAttribute('aria-label'))!,
      );
      up.push(Number(at![1]));
    }
    up.forEach((x, i) => i > 0 && expect(x).toBeLessThanOrEqual(up[i - 1]! + 1));
    await button(again, 'Other options').click();
    await choose(again, '2 min');
    sums.rests++;
    await cast(again, sums, 10);
    await change(again, sums, 'the tip', /^10 ft fast/, /10 ft fast/);
    await take(again, sums, 'landed');
    await cast(again, sums, 10);
    expect(sums).toEqual({ casts: 180, takes: 7, changes: 5, rests: 2 });
    await expect(fact(again, 'Casts')).toHaveText('180');
    await expect(fact(again, 'Takes')).toHaveText('7');
  });
});
