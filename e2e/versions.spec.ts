// Two builds, one after the other, as a user meets them: the second has other names for its parts.
import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { button, expect, loadDemo, tab, test } from './helpers';

test.use({ serviceWorkers: 'allow', expectedErrors: /Failed to load resource/ });

const PORT = Number(process.env.E2E_PORT ?? 4173) + 1;
const address = `http://localhost:${PORT}`;
let folder = '';
let server: ChildProcess;

/** A copy of the build in which every part has another name, as after a change of all of them. */
function nextBuild(from: string, to: string): void {
  fs.cpSync(from, to, { recursive: true });
  fs.rmSync(path.join(to, 'sw.js'));
  const parts = fs.readdirSync(path.join(to, '_expo/static/js/web'));
  const renamed = (text: string) =>
    parts.reduce(
      (t, name) =>
        t.replaceAll(
          name,
          name.replace(/.(?=\.js$)/, (c) => (c === '0' ? '1' : '0')),
        ),
      text,
    );
  for (const name of parts) {
    const file = path.join(to, '_expo/static/js/web', name);
    const text = renamed(fs.readFileSync(file, 'utf8'));
    fs.rmSync(file);
    fs.writeFileSync(path.join(path.dirname(file), renamed(name)), text);
  }
  const page = path.join(to, 'index.html');
  fs.writeFileSync(page, renamed(fs.readFileSync(page, 'utf8')));
  execFileSync(process.execPath, ['scripts/build-sw.mjs', to]);
}
/** Serves a build in place of the one before. */
function deploy(build: string): void {
  const link = path.join(folder, 'now');
  fs.rmSync(link, { force: true });
  fs.symlinkSync(path.join(folder, build), link);
}

test.beforeAll(async () => {
  folder = fs.mkdtempSync(path.join(os.tmpdir(), 'builds-'));
  fs.cpSync('dist', path.join(folder, 'first'), { recursive: true });
  nextBuild('dist', path.join(folder, 'second'));
  deploy('first');
  server = spawn(process.execPath, ['build/server.mjs'], {
    env: { ...process.env, PORT: String(PORT), DIST: path.join(folder, 'now') },
  });
  for (let i = 0; i < 50; i++) {
    if (await fetch(`${address}/api/health`).catch(() => null)) return;
    await new Promise((r) => setTimeout(r, 200));
  }
  throw new Error('the server did not start');
});
test.afterAll(() => {
  server.kill();
  fs.rmSync(folder, { recursive: true });
});
test.use({ baseURL: address });

test('a new build is offered, blanks no open page, and keeps the place when it is used', async ({ page, context }) => {
  deploy('first');
  await loadDemo(page);
  await expect(page.getByText('Ready to use offline.')).toBeVisible();
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  const other = await context.newPage(); // opened under the first build, stays on it
  await other.goto('/');
  await expect(other.getByRole('heading', { name: 'Go?' })).toBeVisible();

  deploy('second');
  await page.evaluate(async () => void (await (await navigator.serviceWorker.getRegistration())!.update()));
  await expect(page.getByText(/New version ready/)).toBeVisible();
  // A part that this page had not loaded yet: the server has it no more under this name.
  await tab(page, 'Learn').click();
  await expect(page.getByText('40 outings', { exact: false })).toBeVisible();
  // On the river not while casts are counted; once the day is ended.
  await tab(page, 'Fish').click();
  await page.getByRole('button', { name: 'Start fishing' }).click();
  await expect(page.getByRole('button', { name: 'Cast', exact: true })).toBeVisible();
  await expect(page.getByText(/New version ready/)).toBeHidden();
  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('button', { name: 'End the day' }).click();
  await page.waitForURL(/\/learn\/./); // the day that was ended opens
  await tab(page, 'Fish').click();
  await expect(page.getByText(/New version ready/)).toBeVisible();
  await page.getByRole('button', { name: 'Update now' }).click();
  // The page is being opened anew: until it is there it has no scripts.
  const names = () => page.evaluate(() => [...document.scripts].map((s) => s.src).join()).catch(() => '');
  const second = fs.readFileSync(path.join(folder, 'second/index.html'), 'utf8');
  const entry = /entry-[0-9a-f]+\.js/.exec(second)![0];
  await expect.poll(names).toContain(entry);
  expect(new URL(page.url()).pathname).toBe('/fish');
  await expect(page.getByRole('button', { name: 'Start fishing' })).toBeVisible();
  await expect(page.getByText('Ready to use offline.')).toBeHidden(); // once

  // The other page goes on under the first build, with parts that it loads only now.
  await tab(other, 'Rig').click();
  await expect(other.getByText(/Deepest \d/).first()).toBeVisible();
  await tab(other, 'Learn').click();
  await expect(other.getByText('41 outings', { exact: false })).toBeVisible();
  await expect(button(other, 'Reload the page')).toBeHidden();
});

test('every address opens anew without a signal, one with a dot too', async ({ page, context }) => {
  deploy('first');
  await loadDemo(page);
  await expect(page.getByText('Ready to use offline.')).toBeVisible();
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await context.setOffline(true);
  for (const [url, text] of [
    ['/', /Last values received/],
    ['/read', /^Runs of the/],
    ['/read/long-even', 'Where fish hold'],
    ['/read/long-even/edit', /Sections/],
    ['/read/new', /run/i],
    ['/rig', /Deepest \d/],
    ['/fish', /Start fishing/],
    ['/learn', /40 outings/],
    ['/moves', /moves/i],
    ['/settings', 'Units'],
    ['/water', /water/i],
    ['/read/no.such.run', 'This run is not here'],
  ] as const) {
    await page.goto(url);
    await expect(page.getByText(text).first()).toBeVisible();
  }
});
