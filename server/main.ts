import path from 'node:path';
import { createApp } from './app';
import { trustedProxies } from './proxies';
import { serve } from './serve';

const wanted = Number(process.env.PORT ?? 3000);
const fixed = process.env.PORT !== undefined;
/** This machine only, unless it is said otherwise. */
const host = process.env.HOST ?? '127.0.0.1';
/** What is set wrongly is said in a sentence, not with a stack. */
function proxies() {
  try {
    return trustedProxies(process.env.TRUST_PROXY);
  } catch (error) {
    console.error((error as Error).message);
    process.exit(1);
  }
}
const app = createApp({
  dist: path.resolve(process.env.DIST ?? 'dist'),
  demo: process.env.WANDERUNG_DEMO === '1',
  dev: process.env.WANDERUNG_DEV === '1',
  trustProxy: proxies(),
});

/** Listens on the port, or on the next free one unless it was asked for by name. */
function listen(port: number): void {
  const server = serve(app).listen(port, host);
  const shown = host === '127.0.0.1' || host === '0.0.0.0' || host === '::' ? 'localhost' : host;
  server.once('listening', () => console.log(`\nWanderung is open at http://${shown}:${port}\n(Ctrl+C stops it.)`));
  server.once('error', (error: NodeJS.ErrnoException) => {
    if (error.code === 'EADDRINUSE' && !fixed && port < wanted + 50) return listen(port + 1);
    console.error(`The server could not start on port ${port}: ${error.message}`);
    process.exit(1);
  });
  for (const signal of ['SIGINT', 'SIGTERM'] as const) {
    process.once(signal, () => {
      server.close(() => process.exit(0));
      server.closeAllConnections();
    });
  }
}
listen(wanted);
