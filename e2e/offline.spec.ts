import { button, expect, openDemo, swingWords, tab, test } from './helpers';

test.use({ serviceWorkers: 'allow', expectedErrors: /Failed to load resource|ERR_INTERNET_DISCONNECTED/ });

test('works without a signal after the first load, a hard reload included', async ({ page, context }) => {
  await openDemo(page);
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await context.setOffline(true);
  await page.reload();
  // The gauge keeps its last values and says so.
  await expect(page.getByText(/These are the last values heard/)).toBeVisible();
  await tab(page, 'Read').click();
  await button(page, /Giants/).click();
  await button(page, 'Choose the rig for it').click();
  await expect(swingWords(page)).toBeVisible();
  await button(page, 'Fish this').click();
  await button(page, 'Start fishing').click();
  await button(page, 'Cast').click();
  await page.goto('/fish');
  await expect(page.getByText('cast 1 made; now')).toBeVisible();
  await page.goto('/read/giants-table');
  await expect(page.getByText('Where they hold')).toBeVisible();
  await tab(page, 'Learn').click();
  await expect(page.getByText('41 outings', { exact: false })).toBeVisible();
});
