import { gzipSync } from 'node:zlib';
import type { Locator } from '@playwright/test';
import { button, castsMade, choose, expect, swingWords, tab, test } from './helpers';

test('from nothing to a counted cast on one’s own water', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByText('No water yet')).toBeVisible();
  await button(page, 'Add a water').click();
  await button(page, 'Save water').click();
  await expect(page.getByText(/^Some fields are missing/)).toBeVisible();
  await page.getByLabel('Name').fill('My brook');
  const place = page.getByLabel('Place: latitude, longitude');
  await place.pressSequentially('95, 0');
  await expect(page.getByText('Enter two numbers, latitude first: 57.1, −5.0.')).toBeVisible();
  await place.fill('');
  await place.pressSequentially('51.5, 179');
  await expect(page.getByText(/far from this device’s time zone/)).toBeVisible();
  await button(page, /^Make it 179\.0000° west/).click();
  await button(page, 'Keep as entered').click();
  await place.fill('');
  await place.pressSequentially('51.5 N, 0.5 W');
  await choose(page, 'rainbow trout');
  await button(page, 'Save water').click();
  await expect(page.getByText('My brook')).toBeVisible();
  await expect(page.getByText('No gauge is set for this water', { exact: false })).toBeVisible();

  await button(page, 'Read a run').click();
  await expect(page.getByText('No run yet')).toBeVisible();
  await button(page, 'Add a run').click();
  await button(page, 'Save run').click();
  await expect(page.getByText(/Give the run a name/)).toBeVisible();
  await page.getByLabel('Name of the run').fill('Below the bridge');
  await choose(page, 'right bank');
  await button(page, 'Save run').click();
  await expect(page.getByRole('heading', { name: 'Below the bridge' })).toBeVisible();
  await expect(page.getByText('Where fish hold')).toBeVisible();

  // Edit: a boulder in the middle, a deeper point, and back again.
  await button(page, 'Edit the run').click();
  await choose(page, 'boulder');
  await button(page, 'Put the boulder in the middle').click();
  await expect(button(page, 'Remove the boulder')).toBeVisible();
  await button(page, 'Undo').click();
  await expect(button(page, 'Remove the boulder')).toBeHidden();
  await button(page, 'Redo').click();
  await button(page, 'Done').click();

  // A kit of one's own.
  await button(page, 'Choose the rig for it').click();
  await expect(page.getByText('The bag is empty')).toBeVisible();
  for (const [part, ordinary] of [
    [/^Fly/, /^woolly bugger/],
    [/^Leader/, /^4 ft of 12 lb/],
    [/^Line/, /^Floating line, 6/],
    [/^Rod/, /^Single-hand, 9 ft, line 6/],
  ] as const) {
    await button(page, part).click();
    await button(page, ordinary).click();
    await expect(page.getByText(/for the bag$/)).toBeHidden();
  }
  await expect(swingWords(page)).toBeVisible();
  await button(page, 'Fish this').click();
  await button(page, 'Start fishing').click();
  await button(page, 'Cast').click();
  await expect(castsMade(page, 1)).toBeVisible();
  await tab(page, 'Learn').click();
  await expect(page.getByText('one outing', { exact: false })).toBeVisible();
});

test('addresses that lead nowhere say so', async ({ page }) => {
  await page.goto('/read/no-such-run');
  await expect(page.getByText('This run is not here')).toBeVisible();
  await page.goto('/nonsense');
  await expect(page.getByText('There is nothing at this address')).toBeVisible();
  await button(page, 'Open the plan').click();
  await expect(page.getByText('No water yet')).toBeVisible();
});

test('the first screen brings no parser, no charts and no engine: at most 390 kB, 285 of them the stack’s own', async ({
  page,
}) => {
  const bodies: Promise<Buffer>[] = [];
  page.on('response', (r) => {
    if (new URL(r.url()).pathname.endsWith('.js') && !r.url().endsWith('/sw.js')) bodies.push(r.body());
  });
  await page.goto('/');
  await expect(page.getByText('No water yet')).toBeVisible();
  const kB = (await Promise.all(bodies)).reduce((sum, b) => sum + gzipSync(b).length, 0) / 1024;
  expect(kB).toBeGreaterThan(100); // the scripts were seen
  expect(kB).toBeLessThan(390);
});

for (const [units, wide] of [
  ['metric', '15 m'],
  ['imperial', '50 ft'],
] as const)
  test(`the water in front of one: from nothing to a counted cast in twelve taps, in ${units}`, async ({ page }) => {
    await page.setViewportSize({ width: 360, height: 640 });
    if (units === 'imperial') {
      await page.goto('/settings');
      await choose(page, 'ft, °F, cfs, ips');
      await button(page, 'Back to the plan').click();
    } else await page.goto('/');
    let taps = 0;
    const tap = async (what: Locator) => {
      await what.click();
      taps++;
    };
    const pick = (name: string) => tap(page.getByRole('radio', { name, exact: true }));
    await tap(button(page, 'Read the water in front of you'));
    await pick('seam');
    await pick(wide);
    await pick('chest');
    await pick('walk');
    await pick('to the left');
    await tap(button(page, 'Show where fish hold'));
    await expect(page.getByText(/a guess: measure a depth there/).first()).toBeVisible();
    expect(await page.getByRole('button', { name: /Show (the fly|a streamer) at/ }).count()).toBeLessThanOrEqual(5);
    await tap(button(page, 'Choose the rig for it'));
    await tap(button(page, /^Streamers, single-hand rod/));
    await tap(button(page, 'Fish this'));
    await tap(button(page, 'Start fishing'));
    await tap(button(page, 'Cast'));
    await expect(castsMade(page, 1)).toBeVisible();
    expect(taps).toBeLessThanOrEqual(12);
  });
