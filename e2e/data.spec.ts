import type { Page } from '@playwright/test';
import {
  button,
  castsMade,
  expect,
  openDemo,
  openFishing,
  openLatestOuting,
  setClock,
  storedIn,
  tab,
  test,
  unfold,
} from './helpers';

test('a damaged file is refused with what and where, and nothing changes', async ({ page }) => {
  await openDemo(page, '/learn');
  await expect(page.getByText('40 outings', { exact: false })).toBeVisible();
  await unfold(page, 'Import, send, clear');
  const give = async (name: string, text: string) => {
    const chooser = page.waitForEvent('filechooser');
    await button(page, /Import a backup/).click();
    await (await chooser).setFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
  };
  await give('cut.json', '{"format":"wanderung-backup","version":1,');
  await expect(page.getByText('cut.json couldn’t be imported')).toBeVisible();
  await expect(page.getByText(/line 1, column 42/)).toBeVisible();
  await give('odd.json', '{"format":"wanderung-backup","version":1,"records":{"run":[{"v":1,"data":{"id":"x"}}]}}');
  await expect(page.getByText(/records\.run\[0\]: waterId is required/)).toBeVisible();
  await expect(page.getByText('40 outings', { exact: false })).toBeVisible();
});

/** The databases of the page that hold anything. */
async function databases(page: Page): Promise<string[]> {
  const { origins } = (await page.context().storageState({ indexedDB: true })) as unknown as {
    origins: { indexedDB: { name: string; stores: { records: unknown[] }[] }[] }[];
  };
  const held = origins.flatMap((o) => o.indexedDB).filter((db) => db.stores.some((s) => s.records.length > 0));
  return held.map((db) => db.name).sort();
}

test('a backup comes back after clearing, which leaves no place behind; both can be undone', async ({ page }) => {
  await openDemo(page, '/learn');
  expect(await databases(page)).toEqual(['wanderung', 'wanderung-gauge']);
  const download = page.waitForEvent('download');
  await button(page, /Export everything/).click();
  const file = await (await download).path();
  await unfold(page, 'Import, send, clear');
  await button(page, /Clear this device/).click();
  await expect(page.getByText('No outing yet')).toBeVisible();
  // In it no more than that there are no outings.
  expect((await databases(page)).filter((name) => name !== 'wanderung')).toEqual([]);
  await button(page, 'Undo').click();
  await expect(page.getByText('40 outings', { exact: false })).toBeVisible();
  await button(page, /Clear this device/).click();
  await expect(page.getByText('No outing yet')).toBeVisible();
  const chooser = page.waitForEvent('filechooser');
  await button(page, /Import a backup/).click();
  await (await chooser).setFiles(file);
  await expect(page.getByText('run: new, changed, unchanged')).toBeVisible();
  await button(page, /^Merge/).click();
  await expect(page.getByText('40 outings', { exact: false })).toBeVisible();
});

test('two tabs count into one log and see each other', async ({ page, context }) => {
  await openFishing(page);
  await button(page, 'Cast').click();
  await expect(castsMade(page, 1)).toBeVisible();
  const other = await context.newPage();
  await other.goto('/fish');
  await expect(castsMade(other, 1)).toBeVisible();
  await button(other, 'Cast').click();
  await expect(castsMade(page, 2)).toBeVisible();
  await Promise.all([button(page, 'Cast').click(), button(other, 'Touched the bed').click()]);
  // What is shown is stored: from here on a reload may not lose it.
  await expect(castsMade(page, 3)).toBeVisible();
  await expect(other.getByText('Bed touch noted.')).toBeVisible();
  await page.reload();
  await expect(castsMade(page, 3)).toBeVisible();
  await tab(page, 'Learn').click();
  await openLatestOuting(page);
  await expect(page.getByRole('button', { name: /Touched the bed$/ }).first()).toBeVisible();
});

test('a record damaged in storage is named and the rest still opens', async ({ page }) => {
  await openDemo(page);
  const whole = await storedIn(page, 'wanderung', 'run/long-even');
  await storedIn(page, 'wanderung', 'run/long-even', whole!.slice(0, 40));
  await page.goto('/read');
  await expect(page.getByText('One stored record can’t be read')).toBeVisible();
  await expect(page.getByText(/run\/long-even/)).toBeVisible();
  await button(page, 'Go on').click();
  await expect(button(page, /Millrace Step/)).toBeVisible();
});

test('everything goes to another device by the system’s own sheet, and is merged there in three taps', async ({
  page,
  browser,
}) => {
  // A sheet that takes plain text only, as some do: what it was given is kept.
  await page.addInitScript(() => {
    const given: { name?: string; text?: Promise<string> } = {};
    Object.assign(window, { given });
    navigator.canShare = (what) => what?.files?.every((f) => f.type === 'text/plain') ?? false;
    navigator.share = (what) => {
      given.name = what!.files![0]!.name;
      given.text = what!.files![0]!.text();
      return Promise.resolve();
    };
  });
  await openDemo(page, '/learn');
  await unfold(page, 'Import, send, clear');
  await button(page, /^Send to another device/).click();
  await button(page, 'Send the file').click();
  await expect(button(page, 'Send the file')).toBeHidden();
  const sent = await page.evaluate(async () => {
    const { given } = window as unknown as { given: { name: string; text: Promise<string> } };
    return { name: given.name, text: await given.text };
  });
  expect(sent.name).toMatch(/^wanderung-.*\.json\.txt$/);
  const { baseURL, viewport } = test.info().project.use;
  const other = await browser.newContext({ baseURL, viewport, serviceWorkers: 'block' });
  await setClock(other);
  const there = await other.newPage();
  await there.goto('/learn');
  const chooser = there.waitForEvent('filechooser');
  await button(there, /^Import a backup/).click();
  await (await chooser).setFiles({ name: sent.name, mimeType: 'text/plain', buffer: Buffer.from(sent.text) });
  await button(there, /^Merge/).click();
  await expect(there.getByText('40 outings', { exact: false })).toBeVisible();
  await other.close();
});
