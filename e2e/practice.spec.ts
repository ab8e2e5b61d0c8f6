import fs from 'node:fs';
import { button, choose, expect, openDemo, openRun, test } from './helpers';

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
  await page.getByRole('radio', { name: /ft slow$/ }).click();
  await button(page, 'Answer').click();
  await expect(page.getByText(/ft floating, \d+ marks: /)).toBeVisible();
  await expect(page.getByRole('img', { name: /^How deep each fly is from landing/ })).toBeVisible();
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

test('a casting hour on a run of one’s own: cast, fished down, reckoned up beside a guide’s', async ({ page }) => {
  await openDemo(page, '/learn/practice');
  await button(page, /^On which water, Invented water/).click();
  await button(page, /^Millrace Step/).click();
  await expect(page.getByText(/^Millrace Step as you drew it/)).toBeVisible();
  await button(page, /^The casting hour/).click();
  await expect(page.getByText(/^8 willing fish hold where you can’t see them/)).toBeVisible();
  const sheet = page.getByRole('img', { name: /^Millrace Step, \d+ m long/ });
  await button(page, 'Squarer').click();
  await button(page, 'Cast').click();
  await expect(page.getByText(/^Cast 1: /)).toBeVisible();
  await button(page, '5 casts, a step each').click();
  await expect(page.getByText(/^Cast [2-6]: /)).toBeVisible();
  await expect(sheet).toHaveAccessibleName(/ [2-6] casts made$/);
  // Feet go where one taps; mid-river nobody casts.
  const box = (await sheet.boundingBox())!;
  await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
  await button(page, 'Cast').click();
  await expect(page.getByText(/^(Cast \d+: |The water there is too deep)/)).toBeVisible();
  await button(page, 'End the hour').click();
  await expect(page.getByText(/^\d+ of 100 marks\.$/)).toBeVisible();
  await expect(page.getByText(/a guide’s hour with this rig finds \d+ %\.$/)).toBeVisible();
  const guide = page.getByRole('slider', { name: 'A guide’s hour, cast by cast' });
  await guide.focus();
  await page.keyboard.press('End');
  await expect(page.getByText(/m down, .*: \d.* m at \d+°/)).toBeVisible();
  await button(page, 'Next hour').click();
  await expect(page.getByText(/^8 willing fish/)).toBeVisible();
  await button(page, 'Back to the practice ground').click();
  await expect(button(page, /^The casting hour, \d+ of 100 marks lately; 1 hour played/)).toBeVisible();
});

test('lessons: from the practice ground and from the reading @wide', async ({ page }) => {
  await openDemo(page, '/learn/practice');
  await button(page, /^Next, Wading, and being swept/).click();
  for (let n = 1; n <= 4; n++) {
    await expect(page.getByText(`Step ${n} of 5`)).toBeVisible();
    await button(page, 'Next').click();
  }
  await button(page, 'To the question').click();
  await page.getByRole('radio', { name: 'on the back, feet downstream' }).click();
  await expect(page.getByText(/^Right\. A foot that catches between stones holds you under\./)).toBeVisible();
  await button(page, 'Done').click();
  await expect(button(page, /^Next, Visibility by your boots/)).toBeVisible();
  await openRun(page, 'lantern-riffle');
  await button(page, 'New reading').click();
  await button(page, 'Lesson: Visibility by your boots').click();
  await expect(page.getByText('Step 1 of 4')).toBeVisible();
  await page.keyboard.press('Escape', { delay: 100 }); // as long as a finger rests on a key
  await expect(page.getByText('Step 1 of 4')).toBeHidden();
  await expect(button(page, 'Save reading')).toBeVisible();
});
