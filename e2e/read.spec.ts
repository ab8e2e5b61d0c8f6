import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { button, choose, expect, openAnswered, openDemo, openRun, test, unfold } from './helpers';
import { within } from './pace';

const lies = (page: Page) => page.getByRole('button', { name: /Show (the fly|a streamer) at/ });

test('another level: the lies follow the slider, a reading says what it changed, contradictions are named', async ({
  page,
}) => {
  await openAnswered(page, 'long-even');
  await expect(page.getByText(/Fish it with/).first()).toBeVisible(); // the gauge and the answer have come
  const before = await lies(page).allTextContents();
  // Two taps go close, and back by a button.
  await page.getByRole('img', { name: /^Long Even from above/ }).dblclick({ position: { x: 30, y: 60 } });
  await button(page, 'Whole run').click();
  await expect(button(page, 'Whole run')).toBeHidden();
  const level = page.getByRole('slider', { name: /^Level/ });
  await level.focus();
  await page.keyboard.press('End');
  await expect.poll(() => lies(page).allTextContents()).not.toEqual(before);
  await button(page, 'Back to today’s level').click();
  await expect.poll(() => lies(page).allTextContents()).toEqual(before);
  await button(page, 'New reading').click();
  await page.getByLabel('Way, m').fill('10');
  await page.getByLabel('Time, s').fill('2');
  await button(page, 'Save reading').click();
  await expect(page.getByText(/^Two readings contradict each other/)).toBeVisible();
  await unfold(page, 'How much water, and how sure');
  await expect(page.getByText(/^Float: flow .* becomes/)).toBeVisible();
});

test('a water with several kinds of fish: lies, answer and log go by the one that one is after today', async ({
  page,
}) => {
  await openAnswered(page, 'siren-flat');
  const before = await lies(page).allTextContents();
  await choose(page, 'grayling');
  await expect(
    page.getByText('Grayling are worked out as rainbow trout: the most similar fish the program knows well.'),
  ).toBeVisible();
  await choose(page, 'brown trout');
  await expect.poll(() => lies(page).allTextContents()).not.toEqual(before);
  await page.reload();
  await expect(page.getByRole('radio', { name: 'brown trout' })).toBeChecked();
  await button(page, 'All runs').click();
  await expect(page.getByText(/, for brown trout$/)).toBeVisible();
});

test('two days of a run beside each other', async ({ page }) => {
  await openRun(page, 'copper-bend');
  await button(page, 'Compare with another day').click();
  await expect(page.getByRole('img', { name: /^Today: / })).toBeVisible();
  await expect(page.getByRole('img', { name: /^The other day: / })).toBeVisible();
  const words = page.getByRole('listitem').filter({ hasText: /(moves|stays|gone|is new|as good)/ });
  await expect(words.first()).toBeVisible();
  const before = await words.allTextContents();
  await page.getByRole('slider', { name: 'Level' }).focus(); // the level counts at any hour
  await page.keyboard.press('Home');
  await expect.poll(() => words.allTextContents()).not.toEqual(before);
});

test('edit a run: drag a point of a section and a stone, undo both', async ({ page }) => {
  await openDemo(page, '/read/lantern-riffle/edit');
  await expect(button(page, 'Section below')).toBeVisible();
  await button(page, 'Section below').click();
  await expect(page.getByText(/^2 of \d+, /)).toBeVisible();
  const depth = page.getByLabel('Point 3: deep');
  const was = await depth.inputValue();
  const view = page.getByRole('img', { name: /^Cross-section of 6 points/ });
  // A slow machine may still be laying out what lies above: the point is taken where it is by then, between the sheet that stays in sight
  // and the bar at the foot.
  await expect(async () => {
    const point = view.locator('circle').nth(2);
    await point.evaluate((e) => {
      let scrolls: Element = e;
      while (scrolls.parentElement && !/auto|scroll/.test(getComputedStyle(scrolls).overflowY))
        scrolls = scrolls.parentElement;
      scrolls.scrollTop += e.getBoundingClientRect().y - 600;
    });
    const circle = (await point.boundingBox())!;
    await page.waitForTimeout(300);
    expect(await point.boundingBox()).toEqual(circle); // it lies still, and nothing over it
    expect(Math.abs(circle.y - 600)).toBeLessThan(100);
    await page.mouse.move(circle.x + 8, circle.y + 8);
    await page.mouse.down();
    await page.mouse.move(circle.x + 8, circle.y + 48, { steps: 5 });
    await page.mouse.up();
    await expect(depth).not.toHaveValue(was, within(2000));
  }).toPass();
  await button(page, 'Undo').click();
  await expect(depth).toHaveValue(was);
  // The deep line is dragged across on the sheet, which stays in sight.
  const grip = page.getByText('deepest', { exact: true }).first(); // under it stands its halo
  const outs = () => Promise.all([2, 3, 4, 5].map((n) => page.getByLabel(`Point ${n}: out`).inputValue()));
  const before = await outs();
  await page.getByLabel('Point 5: deep').scrollIntoViewIfNeeded();
  await expect(grip).toBeInViewport();
  await expect(async () => {
    const word = (await grip.boundingBox())!;
    const [x, y] = [word.x - 13, word.y + word.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x - 12, y, { steps: 4 });
    await page.mouse.up();
    await expect.poll(outs, within(2000)).not.toEqual(before);
  }).toPass();
  await button(page, 'Undo').click();
  await expect.poll(outs).toEqual(before);
  // Closer by a button, and by two taps; the whole again by two more.
  const sheet = page.getByRole('img', { name: /Pinch, or tap twice, to go closer$/ });
  await expect(button(page, 'Whole run')).toBeDisabled();
  await button(page, 'Closer').click();
  await expect(button(page, 'Whole run')).toBeEnabled();
  for (const zoomed of [false, true]) {
    await sheet.dblclick({ position: { x: 120, y: 90 } });
    await expect(button(page, 'Whole run')).toBeEnabled({ enabled: zoomed });
  }
});

test('the length of a new run is measured by walking it', async ({ page, context }) => {
  await context.grantPermissions(['geolocation']);
  await openDemo(page, '/read/new');
  await context.setGeolocation({ latitude: 45, longitude: 10, accuracy: 4 });
  await button(page, 'Measure by walking, from the head').click();
  await expect(page.getByText('You stand at the head, give or take 4 m. Walk to the tail.')).toBeVisible();
  await context.setGeolocation({ latitude: 45.0006, longitude: 10, accuracy: 3 });
  await button(page, 'I stand at the tail').click();
  await expect(page.getByText('You walked 67 m, give or take 5 m.')).toBeVisible(); // 111,132 m a degree (WGS 84)
  await expect(page.getByLabel('Length, m')).toHaveValue('67');
});

test('a boulder is put where one stands, by the device’s position', async ({ page }) => {
  await openDemo(page, '/read/long-even/edit');
  const boulders = page.getByRole('radiogroup', { name: /In the run/ }).getByRole('radio', { name: /^boulder/ });
  await expect(boulders.first()).toBeVisible();
  const before = await boulders.count();
  await choose(page, 'boulder');
  await button(page, 'The boulder is where I stand').click();
  await expect(page.getByText(/^The boulder is where you stood, give or take \d+ m\.$/)).toBeVisible();
  await expect(boulders).toHaveCount(before + 1);
  await expect(button(page, 'Remove the boulder')).toBeVisible();
});

test('a run goes out as GeoJSON and GPX and comes in again; damaged files are refused with reasons', async ({
  page,
}) => {
  await openDemo(page, '/read/long-even/edit');
  const take = async (name: string) => {
    const download = page.waitForEvent('download');
    await button(page, name).click();
    return readFileSync(await (await download).path(), 'utf8');
  };
  const geojson = await take('As GeoJSON');
  const gpx = await take('As GPX');
  expect(JSON.parse(geojson).type).toBe('FeatureCollection');
  expect(gpx).toContain('http://www.topografix.com/GPX/1/1');
  await page.goto('/read');
  const give = async (name: string, text: string) => {
    const chooser = page.waitForEvent('filechooser');
    await button(page, /Import a run from a map file/).click();
    await (await chooser).setFiles({ name, mimeType: 'application/octet-stream', buffer: Buffer.from(text) });
  };
  await expect(button(page, /Long Even/)).toHaveCount(1);
  await give('cut.geojson', geojson.slice(0, 800));
  await expect(page.getByText('Couldn’t import cut.geojson')).toBeVisible();
  await expect(page.getByText(/JSON is cut off or damaged.*No data changed/)).toBeVisible();
  await give('odd.gpx', gpx.replace('version="1.1"', 'version="1.0"'));
  await expect(page.getByText(/must be version 1\.1/)).toBeVisible();
  await give('long.geojson', geojson);
  await expect(page.getByText('Long Even imported.')).toBeVisible();
  await give('long.gpx', gpx);
  await expect(button(page, /Long Even/)).toHaveCount(3);
});
