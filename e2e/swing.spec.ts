import { button, choose, expect, openRig, openRun, test, unfold } from './helpers';

test('what to change: a tap makes the change and the lie is well shown', async ({ page }) => {
  await openRig(page, 'giants-table', openRun);
  await choose(page, 'your rig');
  await unfold(page, 'Change the cast');
  const change = page.getByRole('button', { name: / · well shown in (7|8|9|more than 9) of 10 swings · / }).first();
  await expect(change).toBeVisible(); // the search goes through all of the bag
  await change.click();
  await expect(page.getByText('Lie well shown')).toBeVisible();
});

test('drag on the picture to cast elsewhere, play, compare, read it as text', async ({ page }) => {
  await openRig(page, 'long-even');
  const sheet = page.getByRole('img', { name: /^The swing from above/ });
  await unfold(page, 'Change the cast');
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
  await button(page, 'Show the swing second by second').click();
  await expect(page.getByRole('listitem').filter({ hasText: /^2 s: / })).toBeVisible();
});

test('with less motion nothing plays by itself; the seconds are gone through one by one', async ({ page }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await openRig(page, 'long-even');
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
