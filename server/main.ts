import path from 'node:path';
import { renderUnicodeCompact } from 'uqr';
import { createApp } from './app';
import { certificateFor } from './https/certificate';
import { doorFor } from './https/door';
import { addresses, allNames, localName } from './https/names';
import { trustedProxies } from './proxies';
import { PATIENCE, serve } from './serve';

const wanted = Number(process.env.PORT ?? 3000);
const fixed = process.env.PORT !== undefined;
/** Over https it is for phones in the same network. */
const secure = process.env.HTTPS === '1';
/** This machine only, unless it is said otherwise. */
const host = process.env.HOST ?? (secure ? '0.0.0.0' : '127.0.0.1');
/** What is set wrongly is said in a sentence, not with a stack. */
function proxies() {
  try {
    return trustedProxies(process.env.TRUST_PROXY);
  } catch (error) {
    console.error((error as Error).message);
    process.exit(1);
  }
}

/** Listens on the port, or on the next free one unless it was asked for by name. */
const listen = (server: ReturnType<typeof serve>, port: number): Promise<number> =>
  new Promise((resolve) => {
    const failed = (error: NodeJS.ErrnoException) => {
      if (error.code === 'EADDRINUSE' && !fixed && port < wanted + 50) return resolve(listen(server, port + 1));
      console.error(`The server could not start on port ${port}: ${error.message}`);
      process.exit(1);
    };
    server.once('error', failed);
    server.listen(port, host, () => {
      server.off('error', failed);
      resolve(port);
    });
    for (const signal of ['SIGINT', 'SIGTERM'] as const)
      process.once(signal, () => {
        server.close(() => process.exit(0));
        server.closeAllConnections();
      });
  });

const app = createApp({
  dist: path.resolve(process.env.DIST ?? 'dist'),
  demo: process.env.WANDERUNG_DEMO === '1',
  dev: process.env.WANDERUNG_DEV === '1',
  trustProxy: proxies(),
});

async function open(): Promise<void> {
  const port = await listen(serve(app), wanted);
  const shown = host === '127.0.0.1' || host === '0.0.0.0' || host === '::' ? 'localhost' : host;
  console.log(`\nWanderung is open at http://${shown}:${port}\n(Ctrl+C stops it.)`);
}

/** For phones: over https, with a door at the next port where they take the certificate once. */
async function openSecurely(): Promise<void> {
  const folder = path.resolve(process.env.CERT_FOLDER ?? '.https');
  const certificate = await certificateFor(folder, allNames(), Date.now());
  const port = await listen(serve(app, PATIENCE, certificate), wanted);
  const door = await listen(serve(doorFor(certificate.authority, port)), port + 1);
  const [at = localName()] = addresses();
  const first = `http://${at}:${door}`;
  console.log(`\nWanderung is open at https://localhost:${port}`);
  console.log(`\nOn a phone in the same network, scan this or type ${first}\n`);
  console.log(renderUnicodeCompact(first));
  console.log(
    certificate.fresh
      ? '\nThe certificate is new: each phone takes it once, by the steps on that page.'
      : '\nPhones that have taken the certificate open the address they know.',
  );
  console.log(
    `Or open https://${localName()}:${port}, which stays when the address changes. Each address keeps a log of its own: use one.`,
  );
  console.log('(Ctrl+C stops it.)');
}

void (secure ? openSecurely() : open());
