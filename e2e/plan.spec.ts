import { button, choose, expect, openDemo, test } from './helpers';

test('plan says what colour to expect, how sure it is, and how such words did before', async ({ page }) => {
  await openDemo(page);
  const colour = page.getByRole('region', { name: 'Colour' });
  await expect(colour.getByText('Four times in five')).toBeVisible({ timeout: 30_000 });
  await expect(colour.getByText(/^(Go|Go with sinking gear|Elsewhere|Closed)$/)).toBeVisible();
  await expect(colour.getByText(/Asked twelve hours before each of your last \d+ readings?/)).toBeVisible({
    timeout: 60_000,
  });
  await button(page, 'The day after').click();
  await expect(colour.getByText(/at noon$/)).toBeVisible();
  for (let i = 0; i < 4; i++) await button(page, 'The day after').click();
  await expect(colour.getByText(/is too far off: colour is foretold for two days/)).toBeVisible();
});

test('the kind of river and the road are said with the water', async ({ page }, info) => {
  test.skip(info.project.name !== 'phone', 'the same on both');
  await openDemo(page);
  await page.goto('/water?id=talluquin');
  await choose(page, 'spring');
  await page.getByRole('radiogroup', { name: 'Stained by peat' }).getByRole('radio', { name: 'yes' }).click();
  await page.getByLabel('Minutes of road, one way, min').fill('1500');
  await button(page, 'Keep the water').click();
  await expect(page.getByText(/driveMin must be/)).toBeVisible();
  await page.getByLabel('Minutes of road, one way, min').fill('');
  await button(page, 'Keep the water').click();
  await expect(page.getByRole('region', { name: 'Colour' }).getByText('Four times in five')).toBeVisible({
    timeout: 30_000,
  });
});
