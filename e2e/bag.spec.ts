import fs from 'node:fs';
import type { Locator, Page } from '@playwright/test';
import { button, choose, expect, openDemo, openRig, storedIn, swingWords, test, unfold } from './helpers';

/** A run of a water that allows two flies and weight, and one of a water that allows one fly and none. */
const LOOSE = 'lantern-riffle';
const STRICT = 'long-even';

const region = (page: Page, name: string): Locator => page.getByRole('region', { name, exact: true });

test('a bag from nothing: whole by method, thinned out, changed, taken back, kept over a reload', async ({ page }) => {
  await page.goto('/bag');
  await expect(page.getByText('The bag is empty')).toBeVisible();
  await button(page, /^Streamers, single-hand rod/).click();
  await expect(page.getByText(/items added\. Remove what you don’t own/)).toBeVisible();
  await expect(button(page, /^Flies, 7: /)).toBeVisible();
  await unfold(page, 'Flies');
  // One goes, and comes back by a tap.
  await button(page, /^tan muddler/).click();
  await button(page, 'Remove from bag').click();
  await expect(button(page, /^Flies, 6: /)).toBeVisible();
  await button(page, 'Undo').click();
  await expect(button(page, /^Flies, 7: /)).toBeVisible();
  // One is changed at once, duplicated, set aside.
  await button(page, /^olive sculpin/).click();
  await page
    .getByRole('radiogroup', { name: 'Main colour' })
    .getByRole('radio', { name: 'brown', exact: true })
    .click();
  await button(page, 'Running low').click();
  await expect(page.getByText(/· running low/)).toBeVisible();
  await button(page, 'Duplicate').click();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue(/\(2\)$/);
  await button(page, 'Set aside').click();
  await expect(page.getByText(/set aside: not offered/)).toBeVisible();
  await storedIn(page, 'wanderung', 'any'); // waits for what is being written: on a busy machine the page would go before
  await page.goto('/bag');
  await expect(button(page, /^Flies, 7: /)).toBeVisible();
  await page.getByLabel('Search the bag').fill('brown running low');
  await expect(page.getByRole('heading', { name: 'Flies, 1' })).toBeVisible();
  await page.getByLabel('Search the bag').fill('nothing of the kind');
  await expect(page.getByText('No items here.')).toBeVisible();
});

test('from the river a fly is in the bag and tied on in four taps', async ({ page }) => {
  await openRig(page, LOOSE);
  await unfold(page, 'Change the rig');
  await button(page, /^Fly, /).click();
  await button(page, 'Add one to the bag').click();
  await button(page, /^waking fly/).click();
  await expect(button(page, /^Fly, black waking fly/)).toBeVisible();
  await expect(swingWords(page)).toBeVisible();
});

test('a second fly in each of the four ways: both judged, drawn on the card with its knot', async ({ page }) => {
  await openRig(page, LOOSE);
  await unfold(page, 'Change the rig');
  await button(page, /^Leader, /).click();
  await button(page, /^9 ft to 3X/).click();
  await button(page, 'Add a second fly').click();
  await button(page, /^orange large soft hackle/).click();
  await expect(page.getByText(/^The (point fly|dropper) (passes|does not|hangs)/).first()).toBeVisible();
  await expect(page.getByText(/^The (point fly|dropper) (passes|does not|hangs)/)).not.toHaveCount(1);
  await expect(page.getByText(/A second hook hangs free/)).toBeVisible();
  for (const [way, knot] of [
    ['on the tag of a join', 'Surgeon’s join'],
    ['in line, from its bend', 'Clinch'],
    ['on a sliding loop', 'Stop knot'],
    ['from a ring', 'Clinch'],
  ] as const) {
    await choose(page, way);
    // Only in line a barbless hook lets the next fly slip off.
    await expect(page.getByText(/slips off/)).toHaveCount(way.startsWith('in line') ? 1 : 0);
    await button(page, /^Rig card/).click();
    await expect(page.getByRole('heading', { name: knot })).toBeVisible();
    await expect(page.getByRole('img', { name: /dropper: orange large soft hackle/ })).toBeVisible();
    await page.goBack();
    await expect(swingWords(page)).toBeVisible();
  }
  await button(page, 'Switch with the point fly').click();
  await expect(button(page, /^Point fly, orange large soft hackle/)).toBeVisible();
});

test('a mono rig, and a fly under a float: simulated, and what goes wrong is said', async ({ page }) => {
  await openRig(page, LOOSE);
  await unfold(page, 'Change the rig');
  await button(page, /^Leader, /).click();
  await button(page, /^Mono rig/).click();
  await expect(page.getByText('A mono rig takes no tip: take one of them off.')).toBeVisible();
  await button(page, /^Tip, /).click();
  await button(page, 'no tip').click();
  await expect(page.getByText(/A mono rig takes no tip/)).toBeHidden();
  await expect(swingWords(page)).toBeVisible();
  await button(page, /^Leader, /).click();
  await button(page, /^9 ft to 3X/).click();
  await button(page, /^Float, no float/).click();
  await button(page, /^Float, 16 mm/).click();
  await expect(page.getByRole('slider', { name: 'Float above the fly' })).toBeVisible();
  await expect(swingWords(page).or(page.getByText(/nothing of it fishes/))).toBeVisible();
});

test('what the water forbids cannot be chosen, under Rig or at the river', async ({ page }) => {
  await openRig(page, STRICT);
  await unfold(page, 'Change the rig');
  await expect(button(page, /^Add a second fly, Only one fly is allowed here/)).toBeDisabled();
  await expect(button(page, /^Pick up Nine-six six.*Only one fly/)).toBeDisabled();
  await button(page, /^Fly, /).click();
  await expect(button(page, /^olive woolly bugger.*not allowed here: weighted/)).toBeDisabled();
  await expect(button(page, /^brown woolly bugger.*not allowed here: barbed/)).toBeDisabled();
  await button(page, 'Close').click();
  await button(page, 'Fish this').click();
  await button(page, 'Start fishing').click();
  await button(page, 'Change').click();
  await expect(button(page, /^olive sculpin.*not allowed here: weighted/)).toBeDisabled();
  await choose(page, 'the rod');
  await expect(button(page, /^Nine-six six.*Only one fly is allowed here/)).toBeDisabled();
  await button(page, /^Eleven-foot switch/).click();
  await expect(page.getByText(/· white slim baitfish on Two-density/)).toBeVisible();
});

test('the bag goes out as a spreadsheet and comes in again, all of it or nothing', async ({ page }) => {
  await openDemo(page, '/bag');
  const download = page.waitForEvent('download');
  await button(page, 'Export the bag as CSV').click();
  const path = await (await download).path();
  const csv = fs.readFileSync(path, 'utf8');
  expect(csv.split('\r\n').length).toBeGreaterThan(50);
  const take = async (name: string, text: string) => {
    const chooser = page.waitForEvent('filechooser');
    await button(page, /^Import a bag from CSV/).click();
    await (await chooser).setFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  };
  await take('bad.csv', 'type,name,length_m\ntip,too long,40\n');
  await expect(page.getByText(/bad\.csv: row 2, lengthM/)).toBeVisible();
  await take('more.csv', 'type;name;length_m;sink_rate_m_s\ntip;a tip of my own;3,05;0,1\n');
  await expect(page.getByText('1 item imported from more.csv.')).toBeVisible();
  await expect(button(page, /^Tips and sinking leaders, .*a tip of my own/)).toBeVisible();
  await button(page, 'Undo').click();
  await expect(button(page, /a tip of my own/)).toBeHidden();
});

test(
  'the bag works by the keyboard on a wide screen, list and thing beside each other',
  { tag: '@wide-only' },
  async ({ page }) => {
    await openDemo(page, '/bag');
    await page.getByLabel('Search the bag').fill('sinking leader');
    const row = button(page, /8 ft sinking leader/);
    await row.focus();
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('8 ft sinking leader');
    await page.getByLabel('Name', { exact: true }).focus();
    await page.keyboard.press('End');
    await page.keyboard.type(', grey');
    await expect(button(page, /8 ft sinking leader, grey/)).toBeVisible();
    await expect(region(page, 'Tips and sinking leaders, 1')).toBeVisible();
  },
);
