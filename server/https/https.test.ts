import { X509Certificate } from 'node:crypto';
import fs from 'node:fs';
import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import os from 'node:os';
import path from 'node:path';
import tls from 'node:tls';
import { DAY_MS } from '@/core/units';
import { createApp } from '../app';
import { PATIENCE, serve } from '../serve';
import { type Certificate, certificateFor } from './certificate';
import { doorFor } from './door';
import { addresses, localName } from './names';

const NAMES = ['river.local', 'localhost', '127.0.0.1', '192.168.1.20'];
const NOW = Date.now();
let folder = '';
let made: Certificate;
beforeAll(async () => {
  folder = path.join(fs.mkdtempSync(path.join(os.tmpdir(), 'https-')), 'kept');
  made = await certificateFor(folder, NAMES, NOW);
});
afterAll(() => fs.rmSync(path.dirname(folder), { recursive: true }));

/** Judged by the platform’s own reader (OpenSSL, by node:crypto and node:tls). */
describe('the certificate for a machine', () => {
  it('holds for all its names and no other, for a year at the most, and is vouched for by its authority', () => {
    const cert = new X509Certificate(made.cert);
    const authority = new X509Certificate(made.authority);
    expect(NAMES.slice(0, 2).map((n) => cert.checkHost(n))).toEqual(NAMES.slice(0, 2));
    expect(NAMES.slice(2).map((n) => cert.checkIP(n))).toEqual(NAMES.slice(2));
    expect(cert.checkHost('elsewhere.local')).toBeUndefined();
    expect(cert.checkIssued(authority) && cert.verify(authority.publicKey)).toBe(true);
    expect([authority.ca, cert.ca]).toEqual([true, false]);
    const days = (Date.parse(cert.validTo) - Date.parse(cert.validFrom)) / DAY_MS;
    expect(days).toBeLessThanOrEqual(398); // the most that browsers take (CA/Browser Forum Baseline Requirements 6.3.2, from memory)
    expect(days).toBeGreaterThan(300);
  });

  it('keeps its key to its owner, and the authority’s key nowhere', () => {
    expect(fs.readdirSync(folder).sort()).toEqual(['authority.pem', 'cert.pem', 'key.pem']);
    expect(fs.statSync(path.join(folder, 'key.pem')).mode & 0o077).toBe(0);
    const signs = new X509Certificate(made.authority).publicKey.export({ type: 'spki', format: 'pem' });
    const serves = new X509Certificate(made.cert).publicKey.export({ type: 'spki', format: 'pem' });
    expect(signs).not.toBe(serves);
  });

  it('is kept until a name is missing, it ends soon, or it is damaged', async () => {
    expect(await certificateFor(folder, NAMES.slice(1), NOW + 300 * DAY_MS)).toEqual({ ...made, fresh: false });
    const other = path.join(path.dirname(folder), 'other');
    const fresh = async (names: string[], now: number) => (await certificateFor(other, names, now)).fresh;
    expect(await fresh(NAMES, NOW)).toBe(true);
    expect(await fresh(NAMES, NOW)).toBe(false);
    expect(await fresh([...NAMES, '192.168.1.21'], NOW)).toBe(true);
    expect(await fresh(NAMES, NOW + 360 * DAY_MS)).toBe(true);
    fs.writeFileSync(path.join(other, 'cert.pem'), 'half a');
    expect(await fresh(NAMES, NOW)).toBe(true);
  });

  it('serves the application to who trusts the authority, and to nobody else', async () => {
    const app = createApp({ dist: folder, demo: false });
    const server = serve(app, PATIENCE, made).listen(0, '127.0.0.1');
    await once(server, 'listening');
    const { port } = server.address() as AddressInfo;
    const answer = (ca?: string) =>
      new Promise<string>((resolve) => {
        const socket = tls.connect({ port, host: '127.0.0.1', servername: 'localhost', ca }, () =>
          socket.write('GET /api/health HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n'),
        );
        let told = '';
        socket.on('data', (d) => (told += d));
        socket.on('close', () => resolve(told));
        socket.on('error', (e: NodeJS.ErrnoException) => resolve(e.code!));
      });
    expect(await answer(made.authority)).toMatch(/200 OK[^]*{"ok":true}/);
    expect(await answer()).toMatch(/UNABLE_TO_VERIFY|SELF_SIGNED/);
    server.close();
  });
});

describe('the door for phones', () => {
  it('gives the certificate, tells the steps, and leads to the application at the address one came by', async () => {
    const server = serve(doorFor(made.authority, 3000)).listen(0, '127.0.0.1');
    await once(server, 'listening');
    const at = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
    const file = await fetch(`${at}/wanderung.crt`);
    expect(file.headers.get('content-type')).toMatch('application/x-x509-ca-cert');
    expect(new X509Certificate(await file.text()).ca).toBe(true);
    const page = await (await fetch(`${at}/anything`)).text();
    expect(page).toMatch('href="https://127.0.0.1:3000/"');
    expect(page).toMatch(/Android[^]*iPhone/);
    const evil = await fetch(at, { headers: { 'x-forwarded-host': '"><script>' } });
    expect(await evil.text()).not.toMatch('<script');
    server.close();
  });
});

describe('what a machine is called', () => {
  it('its addresses in its networks, and the name that stays', () => {
    const of = (address: string, internal: boolean, family: 'IPv4' | 'IPv6' = 'IPv4') =>
      ({ address, internal, family }) as os.NetworkInterfaceInfo;
    const all = { lo: [of('127.0.0.1', true)], wlan: [of('192.168.1.20', false), of('fe80::1', false, 'IPv6')] };
    expect(addresses(all)).toEqual(['192.168.1.20']);
    expect(localName('Bank-Laptop.lan')).toBe('bank-laptop.local');
  });
});
