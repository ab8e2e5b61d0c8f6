// What the browser does to what is stored, and what is left of it.
import { chromium, type Download, type Page } from '@playwright/test';
import {
  button,
  castsMade,
  expect,
  openDemo,
  openFishing,
  openLatestOuting,
  setClock,
  tab,
  test,
  unfold,
} from './helpers';
import { within } from './pace';

test.use({
  expectedErrors:
    /Failed to load|ERR_FAILED|Loading module|AsyncRequireError|IndexedDB|denied|database|Connection is closing|AbortError/i,
});

interface Backup {
  readonly logs: readonly { readonly events: readonly { readonly kind: string; readonly at: number }[] }[];
}
/** The kinds of events of the newest outing in a file. */
async function newest(download: Promise<Download>): Promise<string[]> {
  const chunks = await (await (await download).createReadStream()).toArray();
  const { logs } = JSON.parse(Buffer.concat(chunks as Buffer[]).toString()) as Backup;
  const [last] = [...logs].sort((a, b) => b.events.at(-1)!.at - a.events.at(-1)!.at);
  return last!.events.map((e) => e.kind);
}
const bed = (page: Page) => button(page, 'Touched the bed');
/** Casts and touches that a new page finds. */
async function counted(page: Page, casts: number): Promise<void> {
  await page.goto('/fish');
  await expect(castsMade(page, casts)).toBeVisible();
}

test('a connection that the browser closes is opened anew: nothing said to be noted is lost', async ({ page }) => {
  await openFishing(page);
  await page.evaluate(() => {
    const transaction = IDBDatabase.prototype.transaction;
    let closed = false;
    IDBDatabase.prototype.transaction = function (...a: Parameters<typeof transaction>) {
      if (!closed && this.name === 'wanderung') {
        closed = true;
        this.close();
      }
      return transaction.apply(this, a);
    };
  });
  await button(page, 'Cast').click();
  await bed(page).click();
  await expect(page.getByText('Bed touch noted.')).toBeVisible();
  await expect(page.getByText(/not stored yet/)).toBeHidden();
  await counted(page, 1);
  await tab(page, 'Learn').click();
  await openLatestOuting(page);
  await expect(page.getByRole('button', { name: /Touched the bed$/ }).first()).toBeVisible();
});

test('a full disk is told, what is entered survives a reload, and is stored when there is room', async ({ page }) => {
  // The store refuses as long as the page says so, as it does when there is no room; the second place takes it.
  await page.addInitScript(() => {
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function (...a: Parameters<typeof put>) {
      if (sessionStorage.getItem('full')) throw new DOMException('refused', 'QuotaExceededError');
      return put.apply(this, a);
    };
  });
  const full = (on: boolean) => page.evaluate((v) => sessionStorage.setItem('full', v), on ? '1' : '');
  await openFishing(page);
  await full(true);
  await button(page, 'Cast').click();
  await expect(page.getByText('One entry is not stored yet')).toBeVisible();
  await expect(page.getByText(/no room left/)).toBeVisible();
  await bed(page).click();
  await expect(page.getByText('Bed touch noted. In memory, not saved yet.')).toBeVisible();
  page.on('dialog', (d) => void d.accept()); // leaving warns
  await page.reload();
  await expect(castsMade(page, 1)).toBeVisible();
  await expect(page.getByText('2 entries are not stored yet')).toBeVisible();
  const download = page.waitForEvent('download');
  await button(page, 'Export everything').click();
  expect(await newest(download)).toContain('bed');
  await full(false);
  // Unless it has tried by itself meanwhile.
  await button(page, 'Try again now')
    .click(within(3000))
    .catch(() => undefined);
  await expect(page.getByText(/not stored yet/)).toBeHidden();
  // What is written just then waits there for a moment, too.
  await expect
    .poll(() => page.evaluate(() => Object.keys(localStorage).filter((k) => k.includes('waiting'))))
    .toEqual([]);
  await counted(page, 1);
});

/** The second copy is made, with something that is written after a page has opened: its base ends with a line of numbers only. On a busy
 * machine it is given up at first, and tried again with what is written half a minute later. */
async function copied(page: Page): Promise<void> {
  const end = () =>
    page.evaluate(async () => {
      const folder = await (await navigator.storage.getDirectory()).getDirectoryHandle('wanderung', { create: true });
      const files = folder as unknown as { entries(): AsyncIterable<[string, FileSystemFileHandle]> };
      let last = '';
      for await (const [name, file] of files.entries())
        if (name.startsWith('base')) last = (await (await file.getFile()).text()).slice(-100);
      return last;
    });
  await expect(async () => {
    await bed(page).click(within(1000));
    await expect.poll(() => end().catch(() => 'being written'), within(3000)).toMatch(/\[\d+,\d+[^"]*\]\n$/);
  }).toPass(within(60_000));
}

test('a store that the browser throws away is put back from the second copy, and what is entered then is stored', async ({
  page,
}) => {
  await openFishing(page);
  const cdp = await page.context().newCDPSession(page);
  await copied(page);
  const throwAway = () =>
    cdp.send('Storage.clearDataForOrigin', { origin: new URL(page.url()).origin, storageTypes: 'indexeddb' });
  await button(page, 'Cast').click();
  await expect(castsMade(page, 1)).toBeVisible();
  // While the page is open.
  await throwAway();
  await button(page, 'Cast').click();
  await expect(castsMade(page, 2)).toBeVisible();
  // Thrown away before or behind that cast: whatever is asked of the store next meets it.
  const back = page.getByText('Your log is back');
  await expect(async () => {
    if (!(await back.isVisible())) await bed(page).click(within(1000)); // once it is said, it lies over the buttons
    await expect(back).toBeVisible(within(1000));
  }).toPass(within(20_000));
  await expect(page.getByText(/not stored yet/)).toBeHidden();
  await page.goto('/learn');
  await expect(page.getByText('41 outings since')).toBeVisible();
  await button(page, 'Go on').click();
  // While none is.
  await page.goto('/manifest.webmanifest');
  await throwAway();
  await page.goto('/learn');
  await expect(page.getByText('41 outings since')).toBeVisible();
  await expect(page.getByText(/All of it \(41 outings\) is restored/)).toBeVisible();
  await button(page, 'Go on').click();
  await page.reload();
  await expect(page.getByText('41 outings since')).toBeVisible();
  await expect(page.getByText('Your log is back')).toBeHidden();
  await counted(page, 2);
});

test('a damaged part of a log is put right from the second copy', async ({ page }) => {
  await openFishing(page);
  await copied(page);
  await button(page, 'Cast').click();
  await expect(castsMade(page, 1)).toBeVisible();
  await page.goto('/manifest.webmanifest');
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const opening = indexedDB.open('wanderung', 1);
        opening.onsuccess = () => {
          const entries = opening.result.transaction('entries', 'readwrite').objectStore('entries');
          const all = entries.getAllKeys();
          all.onsuccess = () => {
            const key = all.result.map(String).find((k) => k.startsWith('log/') && k.endsWith('/00000'))!;
            entries.get(key).onsuccess = (e) => {
              const stored = (e.target as IDBRequest<string>).result;
              entries.put(stored.slice(0, -99), key);
            };
          };
          entries.transaction.oncomplete = () => resolve();
        };
      }),
  );
  await page.goto('/learn');
  const exported = async () => {
    const download = page.waitForEvent('download');
    await button(page, /^Export everything/).click();
    const chunks = await (await (await download).createReadStream()).toArray();
    return JSON.parse(Buffer.concat(chunks as Buffer[]).toString()) as { damaged: unknown[] };
  };
  // Whoever meets it first puts it right: then a file is whole.
  await exported();
  await expect.poll(async () => (await exported()).damaged).toEqual([]);
});

test('where storing is refused every screen says so within three seconds, and works', async ({ page }) => {
  await page.addInitScript(() =>
    Object.defineProperty(window, 'indexedDB', {
      get() {
        throw new DOMException('Access denied', 'SecurityError');
      },
    }),
  );
  await page.goto('/');
  await expect(page.getByText('Stored data can’t be reached')).toBeVisible(within(4000));
  await expect(page.getByText(/forbids it/)).toBeVisible();
  await button(page, 'Add a water').click();
  await page.getByLabel('Name').fill('My brook');
  await button(page, 'Save water').click();
  await expect(page.getByText('My brook')).toBeVisible();
  for (const room of ['Read', 'Rig', 'Fish', 'Learn'] as const) {
    await tab(page, room).click();
    await expect(page.getByText(/not stored yet/)).toBeVisible();
    await expect(page.getByText(/^(Opening|Adding up)/).filter({ visible: true })).toHaveCount(0);
  }
  const download = page.waitForEvent('download');
  await button(page, /^Export everything/)
    .first()
    .click();
  const text = await (await (await download).createReadStream()).toArray();
  expect(Buffer.concat(text as Buffer[]).toString()).toContain('My brook');
});

test('a store that does not answer is told within three seconds, and used when it does', async ({ page, context }) => {
  await page.goto('/');
  await expect(page.getByText('No water yet')).toBeVisible();
  // Another page holds the database, and a request to delete it waits for that: whoever opens it now hears nothing.
  await page.goto('/manifest.webmanifest');
  const holder = await context.newPage();
  await holder.goto('/manifest.webmanifest');
  await holder.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const opening = indexedDB.open('wanderung', 1);
        opening.onsuccess = () => {
          Object.assign(window, { held: opening.result });
          indexedDB.deleteDatabase('wanderung').onblocked = () => resolve();
        };
      }),
  );
  await page.goto('/');
  await expect(page.getByText('Stored data can’t be reached')).toBeVisible(within(4500));
  await expect(page.getByText(/does not answer/)).toBeVisible();
  await expect(page.getByText('No water yet')).toBeVisible();
  await button(page, 'Add a water').click();
  await page.getByLabel('Name').fill('My brook');
  await button(page, 'Save water').click();
  await expect(
    page.getByText('One entry is not stored yet').or(page.getByText(/entries are not stored/)),
  ).toBeVisible();
  await holder.evaluate(() => (window as unknown as { held: IDBDatabase }).held.close());
  await expect(page.getByText(/not stored yet/)).toBeHidden();
  await expect(page.getByText('My brook')).toBeVisible(); // the form has closed
  await page.reload();
  await expect(page.getByText('My brook')).toBeVisible();
});

test('on a plain address two tabs do not overwrite each other', async ({ baseURL }) => {
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--host-resolver-rules=MAP plain.test 127.0.0.1'],
  });
  try {
    const plain = `http://plain.test:${new URL(baseURL!).port}`;
    const context = await browser.newContext({ baseURL: plain });
    await setClock(context);
    const [a, b] = [await context.newPage(), await context.newPage()];
    await openFishing(a, plain);
    expect(await a.evaluate(() => [isSecureContext, 'locks' in navigator])).toEqual([false, false]);
    await b.goto('/fish');
    await expect(button(b, 'Cast')).toBeVisible();
    const taps = (page: Page) =>
      bed(page).evaluate(async (el) => {
        for (let i = 0; i < 75; i++) {
          (el as HTMLElement).click();
          await new Promise((r) => setTimeout(r, 5));
        }
      });
    await Promise.all([taps(a), taps(b)]);
    // All of both tabs, as a page finds it that has shown nothing before.
    const fresh = await context.newPage();
    const touches = async () => {
      await fresh.goto('/learn');
      const download = fresh.waitForEvent('download');
      await button(fresh, /^Export everything/).click();
      return (await newest(download)).filter((kind) => kind === 'bed').length;
    };
    await expect.poll(touches).toBe(150);
  } finally {
    await browser.close();
  }
});

test('started for the demo any first address loads it into an empty browser', async ({ page }) => {
  await page.route('**/api/start', (r) => r.fulfill({ json: { demo: true } }));
  await page.goto('/read/long-even');
  await expect(page.getByText('Where fish hold')).toBeVisible();
  await tab(page, 'Learn').click();
  await expect(page.getByText('40 outings', { exact: false })).toBeVisible();
  // Whoever clears the device wants it empty, at the next start, too.
  await unfold(page, 'Import, send, clear');
  await button(page, /^Clear this device/).click();
  await expect(page.getByText('No outing yet')).toBeVisible();
  await page.reload();
  await expect(page.getByText('No outing yet')).toBeVisible();
  await page.goto('/');
  await expect(page.getByText('No water yet')).toBeVisible();
});

test('a screen whose part is missing says that a newer version is here; the others go on', async ({ page }) => {
  await page.route(/\/gauge-[0-9a-f]+\.js/, (r) => r.abort());
  await openDemo(page);
  // Without a level, or with the last one heard.
  await expect(page.getByText(/: this part of the program didn’t load: try again/).first()).toBeVisible();
  await page.route(/\/river-[0-9a-f]+\.js/, (r) => r.abort());
  await page.goto('/read/long-even');
  await expect(page.getByText('Couldn’t rebuild the run')).toBeVisible();
  await expect(button(page, 'Try again')).toBeVisible();
  await page.unroute(/\/river-[0-9a-f]+\.js/);
  // The level that is heard meanwhile asks for it again, too.
  const lies = page.getByText('Where fish hold');
  await expect(async () => {
    if (!(await lies.isVisible())) await button(page, 'Try again').click(within(1000));
    await expect(lies).toBeVisible(within(5000));
  }).toPass();
  // The frame of a room is a part, too: without it the page must not stand empty.
  await page.route(/\/_layout-[0-9a-f]+\.js/, (r) => r.abort());
  await tab(page, 'Learn').click();
  await expect(page.getByRole('heading', { name: 'New version ready' })).toBeVisible();
  await expect(button(page, 'Reload the page')).toBeVisible();
  await page.unroute(/\/_layout-[0-9a-f]+\.js/);
  await page.goto('/read/long-even');
  await expect(lies).toBeVisible();
  await page.route(/\/screens-[0-9a-f]+\.js/, (r) => r.abort());
  await tab(page, 'Learn').click();
  await expect(page.getByRole('heading', { name: 'New version ready' })).toBeVisible();
  await tab(page, 'Plan').click();
  await expect(page.getByRole('heading', { name: 'Go?' })).toBeVisible();
  await tab(page, 'Learn').click();
  await page.unroute(/\/screens-[0-9a-f]+\.js/);
  await button(page, 'Reload the page').click();
  await expect(page.getByText('40 outings', { exact: false })).toBeVisible();
});
