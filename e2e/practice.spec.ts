import fs from 'node:fs';
import { button, choose, expect, test } from './helpers';

test('an evening on the practice ground, from an empty start, in feet: guessed, marked, kept, exported', async ({
  page,
}) => {
  await page.goto('/settings');
  await choose(page, 'ft, °F, cfs, ips');
  await page.goto('/learn');
  await button(page, /^Practice ground/).click();
  await expect(page.getByText('Read the bed from the surface')).toBeVisible();

  // A number, key by key; how sure one is counts.
  await button(page, /^How deep is it\?/).click();
  await expect(page.getByText(/^At A it is \d+\.\d ft deep\. How deep is it at B\?$/)).toBeVisible();
  await expect(button(page, 'Answer')).toBeDisabled();
  await page.getByLabel('Depth', { exact: false }).first().pressSequentially('2.5');
  await choose(page, 'a guess, ±60 %');
  await button(page, 'Answer').click();
  await expect(page.getByText(/^\d+ of 100 marks, (within|outside) your range\.$/)).toBeVisible();
  await expect(page.getByText(/^The deep line runs \d+ ft out beside B, at \d+\.\d ft\./)).toBeVisible();
  await button(page, 'Next round').click();
  await expect(button(page, 'Answer')).toBeVisible();
  await button(page, 'Back to the practice ground').click();
  await expect(button(page, /^How deep is it\?, \d+ of 100 marks lately; 1 round played/)).toBeVisible();

  // Places are tapped on the run, or told by numbers.
  await button(page, /^Where do they hold\?/).click();
  const sheet = page.getByRole('img', { name: /^An invented / });
  await sheet.waitFor();
  const box = (await sheet.boundingBox())!;
  await page.mouse.click(box.x + box.width / 2, box.y + box.height / 3);
  await expect(page.getByText('1 of 3 places named')).toBeVisible();
  await page.getByLabel('Down the run').pressSequentially('60');
  await page.getByLabel('Out from the bank').pressSequentially('20');
  await button(page, 'Add place').click();
  await expect(page.getByText('2 of 3 places named')).toBeVisible();
  await button(page, 'Answer').click();
  await expect(page.getByText(/^\d+ of 100 marks\.$/)).toBeVisible();
  await expect(page.getByText(/^1: .+\.$/)).toBeVisible();

  // It stays over a reload, goes out with the rest, and is no outing.
  await page.reload();
  await expect(button(page, /^Where do they hold\?, \d+ of 100 marks lately; 1 round played/)).toBeVisible();
  await button(page, 'Back to Learn').click();
  await expect(page.getByText('No outing yet')).toBeVisible();
  const file = page.waitForEvent('download');
  await button(page, /Export everything/).click();
  const backup = JSON.parse(fs.readFileSync(await (await file).path(), 'utf8'));
  expect(backup.records.practice.map((r: { data: { kind: string } }) => r.data.kind).sort()).toEqual(['depth', 'lies']);
});

test('each round can be played: tip, hang, luck', async ({ page }) => {
  await page.goto('/learn/practice');
  await button(page, /^Which tip\?/).click();
  await page.getByRole('radio', { name: '10 ft slow' }).click();
  await button(page, 'Answer').click();
  await expect(page.getByText(/^10 ft floating, \d+ marks: /)).toBeVisible();
  await button(page, 'Back to the practice ground').click();
  await button(page, /^How deep does it hang\?/).click();
  await page.getByLabel('Depth', { exact: false }).first().pressSequentially('0.4');
  await button(page, 'Answer').click();
  await expect(page.getByText(/^A tip that sinks twice as fast/)).toBeVisible();
  await button(page, 'Back to the practice ground').click();
  await button(page, /^Better, or lucky\?/).click();
  await page.getByRole('radio', { name: 'no telling' }).click();
  await button(page, 'Answer').click();
  await expect(page.getByText('75 of 100 marks.')).toBeVisible();
  await expect(page.getByText(/^(Black|White) is the better fly\.$/)).toBeVisible();
});
