// On a phone over https, as `npm start -- --https` serves it: the certificate is not checked here, which OpenSSL does in
// server/https/https.test.ts.
import { type ChildProcess, spawn } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { expect, setClock, test } from './helpers';

const PORT = Number(process.env.E2E_PORT ?? 4173) + 10;
let folder = '';
let server: ChildProcess;
let told = '';

test.beforeAll(async () => {
  folder = fs.mkdtempSync(path.join(os.tmpdir(), 'https-'));
  const env = { ...process.env, PORT: String(PORT), HTTPS: '1', HOST: '127.0.0.1', CERT_FOLDER: folder };
  server = spawn(process.execPath, ['build/server.mjs'], { env });
  server.stdout!.on('data', (text) => (told += text));
  await expect.poll(() => told).toContain('Ctrl+C');
});
test.afterAll(() => {
  server.kill();
  fs.rmSync(folder, { recursive: true });
});

test('a phone takes the certificate at the door, and has the program over https, also without a signal', async ({
  playwright,
}) => {
  expect(told).toMatch(/scan this or type http:[^]*[▀▄█]{5}[^]*The certificate is new/);
  const { launchOptions, viewport } = test.info().project.use;
  const args = [...launchOptions!.args!, '--ignore-certificate-errors'];
  const browser = await playwright.chromium.launch({ ...launchOptions, args });
  const context = await browser.newContext({ viewport, serviceWorkers: 'allow' });
  await setClock(context);
  const page = await context.newPage();
  await page.goto(`http://localhost:${PORT + 1}/`);
  await expect(page.getByRole('heading', { name: 'Wanderung on this phone' })).toBeVisible();
  const file = await page.request.get(`http://localhost:${PORT + 1}/wanderung.crt`);
  expect(await file.text()).toMatch(/^-----BEGIN CERTIFICATE/);
  await page.getByRole('link', { name: 'Open Wanderung' }).click();
  await page.getByRole('button', { name: 'Settings' }).click();
  await expect(page.getByText(/^Ready to use offline\./).last()).toBeVisible();
  expect(page.url()).toMatch(/^https:/);
  await context.setOffline(true);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'On this device' })).toBeVisible();
  await browser.close();
});
