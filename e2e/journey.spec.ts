import fs from 'node:fs';
import {
  button,
  castsMade,
  choose,
  expect,
  loadDemo,
  openDemo,
  openLatestOuting,
  swingWords,
  tab,
  test,
  unfold,
} from './helpers';

test('the whole job on demo data: plan, read, rig, fish, learn, take away', async ({ page }) => {
  await loadDemo(page);
  await expect(page.getByText(/^[+−]?\d+ cm$/).first()).toBeVisible();
  await unfold(page, 'Hour by hour');
  await expect(page.getByText('Sunset to last light')).toBeVisible();
  await expect(page.getByText('The authority’s current text decides', { exact: false })).toBeVisible();

  // Read: a reading changes what is known of the run.
  await button(page, 'Read a run').click();
  await button(page, /Millrace Step/).click();
  await unfold(page, 'How much water, and how sure');
  await expect(page.getByText(/Flow through the run/)).toBeVisible();
  await expect(page.getByText(/not read today/)).toBeVisible();
  await button(page, 'New reading').click();
  await choose(page, 'knee');
  await choose(page, 'high');
  await page.getByLabel('Way, m').fill('10');
  await page.getByLabel('Time, s').fill('6,25');
  await expect(page.getByText('1.60 m/s on the surface')).toBeVisible();
  await choose(page, 'grey-brown');
  await button(page, 'Save reading').click();
  await expect(page.getByText('from what is known of today', { exact: false })).toBeVisible();
  await expect(page.getByText(/\+40 cm.*grey-brown/).first()).toBeVisible();

  // Rig: another tip gives another swing.
  await button(page, 'Choose the rig for it').click();
  await expect(swingWords(page)).toBeVisible();
  const before = await swingWords(page).textContent();
  await unfold(page, 'Change the rig');
  await button(page, /^Tip/).click();
  await button(page, /10 ft heavy/).click();
  await expect(swingWords(page)).not.toHaveText(before!);
  await expect(page.getByText(/Four in five pass|Does not (reach|fish)/).first()).toBeVisible();

  // Fish: casts counted, a juvenile apart, a fish, an undo, a change of fly.
  await button(page, 'Fish this').click();
  await button(page, 'Start fishing').click();
  await button(page, 'Cast').click();
  await expect(castsMade(page, 1)).toBeVisible();
  await button(page, 'Cast').click();
  await button(page, 'Cast').click();
  await expect(castsMade(page, 3)).toBeVisible();
  await button(page, 'Undo the last entry').click();
  await expect(castsMade(page, 2)).toBeVisible();
  await button(page, 'Juvenile').click();
  await button(page, 'Take').click();
  await choose(page, 'landed');
  await choose(page, 'soft inside');
  await page.getByLabel('Length, cm').fill('71');
  await button(page, 'Log take').click();
  await expect(page.getByText('Take logged.')).toBeVisible();
  await button(page, 'Change').click();
  await button(page, /purple egg-sucking leech/).click();
  await expect(page.getByText(/ · purple egg-sucking leech on/)).toBeVisible();

  // A reload in the middle loses nothing.
  await page.reload();
  await expect(castsMade(page, 2)).toBeVisible();
  await expect(page.getByText(/ · purple egg-sucking leech on/)).toBeVisible();

  // Learn: it is all there, and goes out as files.
  await tab(page, 'Learn').click();
  await expect(page.getByText('41 outings', { exact: false })).toBeVisible();
  await expect(page.getByText('71.0 cm').first()).toBeVisible();
  await button(page, /^Show all \d+$/).click(); // what proves nothing
  await expect(page.getByText('too few to say').first()).toBeVisible();
  await openLatestOuting(page);
  await choose(page, 'takes');
  await expect(page.getByText(/Take: landed, soft inside; steelhead of 71\.0 cm/)).toBeVisible();
  await choose(page, 'everything');
  await expect(page.getByText(/Juvenile: pluck/)).toBeVisible();
  await tab(page, 'Learn').click(); // from an outing back to all

  const json = page.waitForEvent('download');
  await button(page, /Export everything/).click();
  const backup = JSON.parse(fs.readFileSync(await (await json).path(), 'utf8'));
  expect(backup.format).toBe('wanderung-backup');
  expect(backup.records.outing).toHaveLength(41);
  const csv = page.waitForEvent('download');
  await unfold(page, 'Import, send, clear');
  await button(page, /Export the log as CSV/).click();
  const rows = fs.readFileSync(await (await csv).path(), 'utf8').split('\r\n');
  expect(rows[0]).toContain('fly_colour');
  expect(rows.some((r) => r.includes('landed') && r.includes('0.71'))).toBe(true);
});

test('units change everywhere, and stay', async ({ page }) => {
  await openDemo(page);
  await button(page, 'Settings').click();
  await choose(page, 'ft, °F, cfs, ips');
  await button(page, 'Back to the plan').click();
  await expect(page.getByText(/ cfs$/)).toBeVisible();
  await expect(page.getByText(/ °F$/).first()).toBeVisible();
  await page.reload();
  await expect(page.getByText(/ cfs$/)).toBeVisible();
  await tab(page, 'Rig').click();
  await expect(page.getByText(/Deepest \d+\.\d ft/)).toBeVisible();
});

test('the tour of the demo: read, rig, swing, cast, take; then never again', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: /demo data/ }).click();
  await button(page, 'Start the tour').click();
  await expect(page.getByText('1 of 5: read the run')).toBeVisible();
  await expect(page.getByRole('img', { name: /^Long Even from above/ })).toBeVisible();
  await button(page, 'Next step').click();
  await expect(page.getByText('2 of 5: choose the rig')).toBeVisible();
  await button(page, 'Next step').click();
  await button(page, 'Play the swing').click();
  await expect(page.getByText(/^[1-9][\d.]* of \d+ s$/)).toBeVisible();
  await button(page, 'Next step').click();
  await button(page, 'Start fishing').click();
  await button(page, 'Cast').click();
  await expect(castsMade(page, 1)).toBeVisible();
  await button(page, 'Next step').click();
  await button(page, 'Take').click();
  await choose(page, 'pluck');
  await button(page, 'Log take').click();
  await expect(page.getByText('Take logged.')).toBeVisible();
  await button(page, 'End the tour').click();
  await expect(page.getByText(/of 5: /)).toBeHidden();
  await page.reload();
  await expect(castsMade(page, 1)).toBeVisible();
  await expect(button(page, /tour/)).toBeHidden();
});
