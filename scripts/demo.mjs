// npm run demo: installs and builds what is missing or stale, then starts the server with the demo data.
import { spawn } from 'node:child_process';
import { ensureBuilt, ensureInstalled, ensureNode } from './lib.mjs';

ensureNode();
ensureInstalled();
ensureBuilt();
const child = spawn(process.execPath, ['build/server.mjs'], {
  stdio: 'inherit',
  env: { ...process.env, NODE_ENV: 'production', WANDERUNG_DEMO: '1' },
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
child.on('exit', (code) => process.exit(code ?? 0));
