import { X509Certificate } from 'node:crypto';
import fs from 'node:fs';
import { isIP } from 'node:net';
import path from 'node:path';
import { generate } from 'selfsigned';
import { DAY_MS } from '@/core/units';

/** What a server needs to be reached over https, PEM. */
export interface Certificate {
  readonly key: string;
  readonly cert: string;
  /** What a phone takes once, so that it trusts `cert`. */
  readonly authority: string;
  /** It was made now: phones that took an earlier one have to take this. */
  readonly fresh: boolean;
}

/** Phones refuse what their owner has them trust when it holds for longer than 825 days; a year is enough. */
const HOLDS_DAYS = 365;
/** Made anew when it would end within so many days, in the middle of somebody's fishing. */
const LEAST_DAYS = 14;
const FILES = { key: 'key.pem', cert: 'cert.pem', authority: 'authority.pem' } as const;

/**
 * The certificate for a machine's names: the one that is kept, or a new one where that misses a name or ends soon.
 *
 * It is signed by an authority made for it alone, whose key is thrown away: a phone that trusts it trusts nothing else by it.
 *
 * @param folder where it is kept; the key can be read by its owner only
 * @param names host names and IP addresses
 */
export async function certificateFor(folder: string, names: readonly string[], now: number): Promise<Certificate> {
  const kept = keptIn(folder);
  if (kept && holds(kept.cert, names, now)) return { ...kept, fresh: false };
  const made = await make(names, now);
  fs.mkdirSync(folder, { recursive: true, mode: 0o700 });
  for (const [part, file] of Object.entries(FILES))
    fs.writeFileSync(path.join(folder, file), made[part as keyof typeof FILES], { mode: 0o600 });
  return { ...made, fresh: true };
}

function keptIn(folder: string): Omit<Certificate, 'fresh'> | null {
  try {
    const read = (file: string) => fs.readFileSync(path.join(folder, file), 'utf8');
    return { key: read(FILES.key), cert: read(FILES.cert), authority: read(FILES.authority) };
  } catch {
    return null;
  }
}

function holds(pem: string, names: readonly string[], now: number): boolean {
  try {
    const cert = new X509Certificate(pem);
    const named = names.every((name) => (isIP(name) ? cert.checkIP(name) : cert.checkHost(name)) !== undefined);
    return named && Date.parse(cert.validTo) - now > LEAST_DAYS * DAY_MS;
  } catch {
    return false; // damaged: another is made
  }
}

async function make(names: readonly string[], now: number): Promise<Omit<Certificate, 'fresh'>> {
  const common = {
    ...({ keyType: 'ec', algorithm: 'sha256' } as const),
    notBeforeDate: new Date(now - DAY_MS), // the phone's clock may be behind
    notAfterDate: new Date(now + HOLDS_DAYS * DAY_MS),
  };
  const ca = await generate([{ name: 'commonName', value: `Wanderung on ${names[0]}` }], {
    ...common,
    extensions: [
      { name: 'basicConstraints', cA: true, pathLenConstraint: 0, critical: true },
      { name: 'keyUsage', keyCertSign: true, critical: true },
    ],
  });
  const { private: key, cert } = await generate([{ name: 'commonName', value: names[0]! }], {
    ...common,
    ca: { key: ca.private, cert: ca.cert },
    extensions: [
      { name: 'basicConstraints', cA: false, critical: true },
      { name: 'keyUsage', digitalSignature: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      {
        name: 'subjectAltName',
        altNames: names.map((name) => (isIP(name) ? { type: 7, ip: name } : { type: 2, value: name })),
      },
    ],
  });
  return { key, cert, authority: ca.cert };
}
