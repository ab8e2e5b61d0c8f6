// npm run below: builds the application for a path below a host's root, serves its files as any static host would, and uses it there in
// Chromium: the demo, an address of its own, and a reload without a signal.
import express from 'express';
import assert from 'node:assert/strict';
import path from 'node:path';
import { chromium } from 'playwright';
import { ensureChromium, ensureInstalled, ensureNode, exportTo } from './lib.mjs';

const BASE = '/some/river';
ensureNode();
ensureInstalled();
exportTo('dist-below', BASE);

const host = express();
host.use(BASE, express.static('dist-below'));
host.get(`${BASE}/{*page}`, (_req, res) => res.sendFile(path.resolve('dist-below/index.html')));
const server = host.listen(0);
const { port } = server.address();
const browser = await chromium.launch({ executablePath: ensureChromium(), args: ['--no-sandbox'] });
const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
const page = await context.newPage();
const wrong = [];
page.on('pageerror', (e) => wrong.push(e.message));
page.on('request', (r) => {
  const { hostname, pathname } = new URL(r.url());
  if (hostname === 'localhost' && !pathname.startsWith(`${BASE}/`)) wrong.push(`asked for ${pathname}`);
});
try {
  await page.goto(`http://localhost:${port}${BASE}/`);
  await page.getByRole('button', { name: /demo data/ }).click();
  await page.getByRole('button', { name: 'Skip the tour' }).click();
  await page.getByRole('link', { name: 'Read', exact: true }).click();
  await page.getByRole('button', { name: /Long Even/ }).click();
  await page.getByText('Where fish hold').waitFor();
  assert.equal(new URL(page.url()).pathname, `${BASE}/read/long-even`);
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.reload();
  assert.equal(await page.evaluate(() => navigator.serviceWorker.controller !== null), true);
  await context.setOffline(true);
  await page.reload();
  await page.getByText('Where fish hold').waitFor();
  assert.deepEqual(wrong, []);
  console.log(`Works below ${BASE}: the demo, an address of its own, a reload without a signal.`);
} finally {
  await browser.close();
  server.close();
}
