import fs from 'node:fs';
import type { Server } from 'node:http';
import net, { type AddressInfo } from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { readGaugeText } from '@/formats/gaugeFeed';
import { readWaterML } from '@/formats/waterml';
import { joinSeries } from '@/core/gauge';
import { checkWeather } from '@/store/weatherCheck';
import { createApp } from './app';
import { trustedProxies } from './proxies';
import { PATIENCE, serve } from './serve';

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
    expect(series.map((s) => s.property)).toEqual(['stage', 'discharge', 'temperature', 'rainfall']);
    expect(series.every((s) => s.points.length === 25)).toBe(true);
  });

  it('serves the same station as CSV, and the weather of a place three days ahead', async () => {
    const window = 'from=2026-09-01T00:00:00Z&to=2026-09-02T00:00:00Z';
    const csv = await get(`/api/stations/sorrelvane-ford/csv?${window}`);
    expect(csv.headers.get('content-type')).toContain('text/csv');
    const table = readGaugeText(await csv.text()).points;
    const feed = joinSeries(readWaterML(await (await get(`/api/stations/sorrelvane-ford/waterml?${window}`)).text()));
    expect(table).toHaveLength(25);
    // The air's temperature goes out, and is not taken for the water's.
    const [first] = await (
      await get(`/api/stations/sorrelvane-ford/csv?${window}`)
    )
      .text()
      .then((t) => [t.split('\r\n')[1]!.split(',')]);
    expect(Number(first![5])).not.toBeNaN();
    expect(table[0]!.tempC).toBe(Number(first![3]));
    expect(table.map((p) => [p.at, p.stageM])).toEqual(feed.points.map((p) => [p.at, p.stageM]));
    const weather = (await (await get('/api/weather?lat=57.4&lon=-5.2&from=2026-09-01T06:20:00Z')).json()) as {
      issuedAt: number;
      hours: { at: number }[];
    };
    expect(weather.issuedAt).toBe(Date.UTC(2026, 8, 1, 6));
    expect(weather.hours).toHaveLength(73);
    expect(weather.hours.at(-1)!.at).toBe(Date.UTC(2026, 8, 4, 6));
    expect(checkWeather(weather).hours).toHaveLength(73);
  });

  it('leaves out what a station did not measure, and what it did not send', async () => {
    const r = await get('/api/stations/uskerrin-icefoot/csv?from=2026-01-01T00:00:00Z&to=2026-03-01T00:00:00Z');
    const rows = (await r.text()).trim().split('\r\n').slice(1);
    expect(rows.length).toBeLessThan(59 * 24 + 1);
    expect(rows.some((row) => row.split(',')[1] === '')).toBe(true);
    expect(rows.every((row) => !row.includes('NaN'))).toBe(true);
  });

  it.each([
    ['/api/weather?lat=57', 400, 'lon'],
    ['/api/weather?lat=97&lon=0&from=2026-09-01', 400, 'lat'],
    ['/api/weather?lat=x&lon=0&from=2026-09-01', 400, 'degrees'],
    ['/api/weather?lat=5&lon=0&from=soon', 400, 'ISO'],
    ['/api/stations/sorrelvane-ford/pdf?from=2026-09-01&to=2026-09-02', 404, 'nothing'],
    ['/api/stations/nowhere/waterml?from=2026-09-01&to=2026-09-02', 404, 'no station'],
    ['/api/stations/sorrelvane-ford/waterml', 400, 'from'],
    ['/api/stations/sorrelvane-ford/constructor', 404, 'nothing at this address'],
    ['/api/stations/constructor/waterml', 404, 'no station'],
    ['/api/stations/sorrelvane-ford/waterml?from=0001-01-01&to=0001-01-02', 400, 'between 1970 and 2200'],
    ['/api/stations/sorrelvane-ford/waterml?from=2026-09-02&to=2026-09-01', 400, 'to'],
    ['/api/stations/sorrelvane-ford/waterml?from=2026-01-01&to=2026-09-01&step=6x', 400, 'whole hours from 1 to 24'],
    ['/api/stations/sorrelvane-ford/waterml?from=2026-01-01&to=2026-09-01&step=25', 400, 'step'],
    ['/api/stations/sorrelvane-ford/waterml?from=2026-01-01&to=2026-09-01&step=3', 400, '180 days'],
    ['/api/stations/sorrelvane-ford/waterml?from=2025-01-01&to=2026-09-01&step=24', 400, '365 days'],
    ['/api/stations/sorrelvane-ford/waterml?from=2024-09-02&to=2026-09-01', 400, '60 days'],
    ['/api/stations/sorrelvane-ford/waterml?from=2026-02-30&to=2026-03-02', 400, 'no date that exists'],
    ['/api/stations/sorrelvane-ford/waterml?from=2026-09-01&to=2026-09-31T00:00:00Z', 400, 'no date that exists'],
    ['/api/stations/sorrelvane-ford/waterml?from=2026-09-01&to=2026-09-02&x=1', 400, 'x'],
    ['/api/stations/%E0%A4%A/waterml', 400, 'malformed'],
    ['/api/other', 404, 'nothing'],
  ])('answers %s with %i and words', async (url, code, words) => {
    const r = await get(url);
    expect(r.status).toBe(code);
    expect(((await r.json()) as { error: string }).error).toContain(words);
  });

  it('gives the page for every address that is opened, one with a dot too, and plain words for a missing file', async () => {
    const opened = 'text/html,application/xhtml+xml';
    for (const url of ['/read/some-run', '/read/my.run', '/read/v1.2.js'])
      expect(await (await get(url, opened)).text()).toContain('page');
    const missing = await get('/missing.js');
    expect(missing.status).toBe(404);
    expect(missing.headers.get('content-type')).toContain('text/plain');
    expect(await missing.text()).toBe('There is nothing at this address.\n');
  });

  it('tells nothing of itself when it cannot answer, whatever the environment', async () => {
    const before = process.env.NODE_ENV;
    process.env.NODE_ENV = 'development';
    const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const other = serve(createApp({ dist: path.join(dist, 'gone'), demo: false })).listen(0);
    try {
      const at = `http://localhost:${(other.address() as AddressInfo).port}`;
      for (const url of ['/%E0%A4%A', '/%00', '/..%2f..%2fetc%2fpasswd', '/.env']) {
        const r = await fetch(at + url);
        expect(r.status).toBeGreaterThanOrEqual(400);
        expect(r.status).toBeLessThan(500);
        expect(await r.text()).not.toMatch(/ at \/|node_modules|Error:|\/tmp|<pre>/);
      }
      expect((await fetch(`${at}/api/health`)).headers.get('access-control-allow-origin')).toBeNull();
    } finally {
      process.env.NODE_ENV = before;
      quiet.mockRestore();
      other.close();
    }
  });

  it('limits files, generously, and believes a proxy about the caller only when told to', async () => {
    const ask = async (at: string, from: string) => (await fetch(at, { headers: { 'x-forwarded-for': from } })).status;
    const codes = async (trustProxy?: number) => {
      const other = serve(createApp({ dist, demo: false, fileLimit: 2, trustProxy })).listen(0);
      const at = `http://localhost:${(other.address() as AddressInfo).port}/entry-${'a'.repeat(32)}.js`;
      const seen = [];
      for (const from of ['10.0.0.1', '10.0.0.2', '10.0.0.3']) seen.push(await ask(at, from));
      other.close();
      return seen;
    };
    expect(await codes()).toEqual([200, 200, 429]);
    expect(await codes(1)).toEqual([200, 200, 200]);
  });

  it('closes connections that are slow to ask or idle', async () => {
    const soon = { ...PATIENCE, headersTimeout: 150, requestTimeout: 150, idleTimeout: 400 };
    const other = serve(createApp({ dist, demo: false }), { ...soon, connectionsCheckingInterval: 50 }).listen(0);
    const { port } = other.address() as AddressInfo;
    const closedAfter = (sent: string) =>
      new Promise<string>((resolve) => {
        let got = '';
        const socket = net.connect(port, 'localhost', () => socket.write(sent));
        socket.on('data', (d) => (got += String(d)));
        socket.on('close', () => resolve(got));
      });
    expect(await closedAfter('GET / HTTP/1.1\r\nHost: x\r\n')).toMatch(/^HTTP\/1.1 408/);
    expect(await closedAfter('')).toMatch(/^(HTTP\/1.1 408.*)?$/s);
    other.close();
  });

  it('sends security headers and long caching for hashed files only', async () => {
    const page = await get('/', 'text/html');
    const policy = page.headers.get('content-security-policy')!;
    expect(policy).toContain("default-src 'self'");
    expect(policy).not.toMatch(/https?:|\*/); // no third party
    expect(page.headers.get('x-content-type-options')).toBe('nosniff');
    expect(page.headers.get('x-powered-by')).toBeNull();
    expect(page.headers.get('cache-control')).toBe('no-cache');
    const hashed = await get(`/entry-${'a'.repeat(32)}.js`);
    expect(hashed.headers.get('cache-control')).toContain('immutable');
  });

  it('says whether it was started for the demo, and lists its stations', async () => {
    expect(await (await get('/api/start')).json()).toEqual({ demo: true });
    const list = (await (await get('/api/stations')).json()) as { id: string; simulated: boolean }[];
    expect(list.length).toBe(5);
    expect(list.every((s) => s.simulated)).toBe(true);
  });
});

describe('proxies that are trusted', () => {
  it('are a number, or addresses', () => {
    expect(trustedProxies(undefined)).toBeUndefined();
    expect(trustedProxies('2')).toBe(2);
    for (const named of ['loopback', '10.0.0.0/8, ::1', 'fd00::/8'])
      expect(() => createApp({ dist, demo: false, trustProxy: trustedProxies(named) })).not.toThrow();
  });

  it.each(['nonsense', '-1', '', '10.0.0.0/99', 'true'])('are refused in a sentence: "%s"', (named) => {
    expect(() => trustedProxies(named)).toThrow(`TRUST_PROXY: "${named}" is no proxy. Say how many`);
  });
});
