import fs from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { readWaterML } from '@/core/formats/waterml';
import { createApp } from './app';

let server: Server;
let base = '';
let dist = '';
beforeAll((done) => {
  dist = fs.mkdtempSync(path.join(os.tmpdir(), 'dist-'));
  fs.writeFileSync(path.join(dist, 'index.html'), '<title>page</title>');
  fs.writeFileSync(path.join(dist, `entry-${'a'.repeat(32)}.js`), '1');
  server = createApp({ dist, demo: true }).listen(0, () => {
    base = `http://localhost:${(server.address() as AddressInfo).port}`;
    done();
  });
});
afterAll((done) => {
  fs.rmSync(dist, { recursive: true });
  server.close(done);
});
const get = (url: string, accept = '*/*') => fetch(base + url, { headers: { accept } });

describe('the server', () => {
  it('serves a station as WaterML that reads back', async () => {
    const r = await get('/api/stations/sorrelvane-ford/waterml?from=2026-09-01T00:00:00Z&to=2026-09-02T00:00:00Z');
    expect(r.headers.get('content-type')).toContain('application/xml');
    const series = readWaterML(await r.text());
    expect(series.map((s) => s.property)).toEqual(['stage', 'discharge', 'temperature']);
    expect(series.every((s) => s.points.length === 25)).toBe(true);
  });

  it.each([
    ['/api/stations/nowhere/waterml?from=2026-09-01&to=2026-09-02', 404, 'no station'],
    ['/api/stations/sorrelvane-ford/waterml', 400, 'from'],
    ['/api/stations/sorrelvane-ford/waterml?from=2026-09-02&to=2026-09-01', 400, 'to'],
    ['/api/stations/sorrelvane-ford/waterml?from=2024-09-02&to=2026-09-01', 400, '60 days'],
    ['/api/other', 404, 'nothing'],
  ])('answers %s with %i and words', async (url, code, words) => {
    const r = await get(url);
    expect(r.status).toBe(code);
    expect(((await r.json()) as { error: string }).error).toContain(words);
  });

  it('gives the page for every route but not for a missing file', async () => {
    expect(await (await get('/read/some-run', 'text/html')).text()).toContain('page');
    expect((await get('/missing.js', 'text/html')).status).toBe(404);
  });

  it('sends security headers and long caching for hashed files only', async () => {
    const page = await get('/', 'text/html');
    expect(page.headers.get('content-security-policy')).toContain("default-src 'self'");
    expect(page.headers.get('x-content-type-options')).toBe('nosniff');
    expect(page.headers.get('x-powered-by')).toBeNull();
    expect(page.headers.get('cache-control')).toBe('no-cache');
    const hashed = await get(`/entry-${'a'.repeat(32)}.js`);
    expect(hashed.headers.get('cache-control')).toContain('immutable');
  });

  it('says whether it was started for the demo, and lists its stations', async () => {
    expect(await (await get('/api/start')).json()).toEqual({ demo: true });
    const list = (await (await get('/api/stations')).json()) as { id: string; simulated: boolean }[];
    expect(list.length).toBe(3);
    expect(list.every((s) => s.simulated)).toBe(true);
  });
});
