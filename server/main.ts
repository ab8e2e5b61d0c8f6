import path from 'node:path';
import { createApp } from './app';

const wanted = Number(process.env.PORT ?? 3000);
const fixed = process.env.PORT !== undefined;
const app = createApp({
  dist: path.resolve(process.env.DIST ?? 'dist'),
  demo: process.env.WANDERUNG_DEMO === '1',
});

/** Listens on the port, or on the next free one unless it was asked for by name. */
function listen(port: number): void {
  const server = app.listen(port);
  server.once('listening', () => console.log(`\nWanderung is open at http://localhost:${port}\n(Ctrl+C stops it.)`));
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
