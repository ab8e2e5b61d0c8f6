import fs from 'node:fs';
import path from 'node:path';
import { type BrowserContext, test as base, expect, type Locator, type Page } from '@playwright/test';
import { several } from '../words/counting';

/** When the journeys begin: the season, the sun and the demo's rivers hang on the day, and the result must not hang on when one tests. */
export const BEGINS_AT = Date.UTC(2026, 10, 27, 8);
const AHEAD_MS = BEGINS_AT - Number(process.env.E2E_BEGAN_MS);

/** From there on the clock runs, for all journeys: what one has stored is in no other's future. Called again it goes on by `aheadMs`. */
export async function setClock(context: BrowserContext, aheadMs = AHEAD_MS): Promise<void> {
  await context.addInitScript((ms) => {
    const Clock = Date;
    window.Date = class extends Clock {
      constructor(...parts: []) {
        if (parts.length > 0) super(...parts);
        else super(Clock.now() + ms);
      }
      static override now() {
        return Clock.now() + ms;
      }
    } as DateConstructor;
  }, aheadMs);
}

/** Every test fails on an error in the console or an uncaught exception, unless it says that one is expected. */
export const test = base.extend<{ expectedErrors: RegExp | null; noErrors: void }>({
  expectedErrors: [null, { option: true }],
  context: async ({ context }, given) => {
    await setClock(context);
    await given(context);
  },
  noErrors: [
    async ({ page, expectedErrors }, use) => {
      const errors: string[] = [];
      const note = (text: string) => {
        if (!expectedErrors?.test(text)) errors.push(text);
      };
      page.on('console', (m) => m.type() === 'error' && note(m.text()));
      page.on('pageerror', (e) => note(e.message));
      await use();
      expect(errors).toEqual([]);
    },
    { auto: true },
  ],
});
export { expect };

export const tab = (page: Page, name: 'Plan' | 'Read' | 'Rig' | 'Fish' | 'Learn') =>
  page.getByRole('link', { name, exact: true });

/** Opens the application empty and loads the demo scenario from the empty screen. */
export async function loadDemo(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: /demo data/ }).click();
  await button(page, 'Skip the tour').click();
  await expect(page.getByRole('heading', { name: 'Go?' })).toBeVisible();
}

type Stored = Exclude<Parameters<BrowserContext['setStorageState']>[0], string>;

/** What a browser has stored after some steps: the first worker that wants it goes through them, the others wait for it. */
async function storedAfter(page: Page, steps: (page: Page) => Promise<void>, name: string): Promise<Stored> {
  const { outputDir, use } = test.info().project;
  const folder = path.join(outputDir, `stored-${process.ppid}`, name); // of this run
  const file = path.join(folder, 'state.json');
  for (;;) {
    if (fs.existsSync(file)) return JSON.parse(fs.readFileSync(file, 'utf8')) as Stored;
    fs.mkdirSync(path.dirname(folder), { recursive: true });
    try {
      fs.mkdirSync(folder);
      break; // this one makes it
    } catch {
      await new Promise((r) => setTimeout(r, 100));
    }
  }
  const { baseURL, viewport } = use;
  const context = await page.context().browser()!.newContext({ baseURL, viewport, serviceWorkers: 'block' });
  try {
    await setClock(context);
    await steps(await context.newPage());
    const { cookies, origins } = await context.storageState({ indexedDB: true });
    const stored: Stored = { cookies, origins: origins.map((o) => ({ ...o, localStorage: [] })) };
    fs.writeFileSync(`${file}.part`, JSON.stringify(stored));
    fs.renameSync(`${file}.part`, file);
    return stored;
  } catch (error) {
    fs.rmSync(folder, { recursive: true }); // another may
    throw error;
  } finally {
    await context.close();
  }
}

/** Opens an address with what a browser has stored after some steps. */
async function openAfter(page: Page, steps: (page: Page) => Promise<void>, name: string, at: string): Promise<void> {
  const { baseURL } = test.info().project.use;
  const { cookies, origins } = await storedAfter(page, steps, name);
  const here = new URL(at, baseURL).origin;
  await page.goto('about:blank'); // a page that is open there would keep its database from being replaced
  await page.context().setStorageState({ cookies, origins: origins.map((o) => ({ ...o, origin: here })) });
  await page.goto(at);
}

/** Opens an address of an application that has the demo scenario stored. */
export async function openDemo(page: Page, at = '/'): Promise<void> {
  const heard = async (first: Page) => {
    await loadDemo(first);
    await expect(first.getByText('Likely (4 times in 5)')).toBeVisible(); // its gauge's year is kept
  };
  await openAfter(page, heard, 'demo', at);
  if (at === '/') await expect(page.getByRole('heading', { name: 'Go?' })).toBeVisible();
}

/** Opens Fish where a run of the demo was begun, before the first cast; at another origin than the usual where one is given. */
export async function openFishing(page: Page, origin = ''): Promise<void> {
  const begin = async (first: Page) => {
    await openDemo(first);
    await startFishing(first, /Millrace Step/);
  };
  await openAfter(page, begin, 'fishing', `${origin}/fish`);
  await expect(button(page, 'Cast')).toBeVisible();
}

export const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name, exact: true });
/** Fish’s line that says how many casts were made on the run. */
export const castsMade = (page: Page, n: number) => page.getByText(`: ${several(n, 'cast')} made · `);
/** Types into a field key by key, as a thumb does, and reads what then stands there. */
export async function typed(within: Page | Locator, label: string, text: string): Promise<void> {
  const field = within.getByLabel(label, { exact: true });
  await field.click();
  await field.press('ControlOrMeta+a');
  await field.pressSequentially(text);
  await expect(field).toHaveValue(text);
}
/** Opens a part of a phone’s page by its row. */
export const unfold = (page: Page, title: string) =>
  page.getByRole('button', { name: new RegExp(`^${title}, `), expanded: false }).click();
export const choose = (page: Page, name: string) => page.getByRole('radio', { name, exact: true }).click();

/** The swing's own words: shown once it has been simulated, whatever it does. */
export const swingWords = (page: Page) => page.getByText(/Deepest \d|nothing of it fishes/).first();

export async function openRun(page: Page, id: string): Promise<void> {
  await openDemo(page, `/read/${id}`);
  await expect(page.getByText('Where fish hold')).toBeVisible();
}

/** The same, where its answer is kept: for what several journeys open. */
export async function openAnswered(page: Page, id: string): Promise<void> {
  const answer = async (first: Page) => {
    await openRun(first, id);
    await expect(first.getByText(/Fish it with/).first()).toBeVisible();
    await expect.poll(() => storedAnswers(first)).toBeDefined();
  };
  await openAfter(page, answer, `${id}, answered`, `/read/${id}`);
  await expect(page.getByText('Where fish hold')).toBeVisible();
}

/** What a database of the page holds under a key; changed before, if so asked. */
export const storedIn = (page: Page, database: string, key: string, change: string | null = null) =>
  page.evaluate(
    ([name, at, text]) =>
      new Promise<string | undefined>((resolve, reject) => {
        const opening = indexedDB.open(name);
        opening.onerror = () => reject(new Error('not opened'));
        opening.onsuccess = () => {
          const table = opening.result.transaction('entries', 'readwrite').objectStore('entries');
          if (text !== null) table.put(text, at);
          const got = table.get(at);
          got.onsuccess = () => (opening.result.close(), resolve(got.result as string | undefined));
        };
      }),
    [database, key, change] as const,
  );
/** What is kept of answers. */
export const storedAnswers = (page: Page, change?: string) => storedIn(page, 'wanderung-answers', 'last', change);

export async function openRig(page: Page, id: string, open = openAnswered): Promise<void> {
  await open(page, id);
  await button(page, 'Choose the rig for it').click();
  await expect(swingWords(page)).toBeVisible();
}

/** Under Learn, the page of the latest outing. */
export async function openLatestOuting(page: Page): Promise<void> {
  await page.getByRole('list', { name: 'Outings' }).getByRole('button').first().click();
  await expect(page.getByRole('heading', { name: 'Hour by hour' })).toBeVisible();
}

/** Chooses a run and a rig is tied on already: to the river. */
export async function startFishing(page: Page, run: RegExp): Promise<void> {
  await tab(page, 'Read').click();
  await button(page, run).click();
  await button(page, 'Choose the rig for it').click();
  await expect(swingWords(page)).toBeVisible();
  await button(page, 'Fish this').click();
  // The casts are planned and kept: nothing more is stored by itself from here on.
  await expect(page.getByText('Covers', { exact: true })).toBeVisible();
  await page.waitForTimeout(500);
  await button(page, 'Start fishing').click();
  await expect(button(page, 'Cast')).toBeVisible();
}

/** What was noted just now lies on none of the buttons that come next. */
export async function coversNoButton(page: Page, said: string): Promise<void> {
  const toast = (await page.getByText(said).boundingBox())!;
  for (const name of ['Cast', 'Take', 'Change', 'Touched the bed']) {
    const box = (await button(page, name).boundingBox())!;
    expect(toast.y + toast.height <= box.y || toast.y >= box.y + box.height, name).toBe(true);
  }
}
