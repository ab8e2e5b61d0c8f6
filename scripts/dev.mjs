// npm run dev: the application with reloading on 8081, the gauge server beside it on 3000.
import { spawn } from 'node:child_process';
import { bin, ensureInstalled, ensureNode } from './lib.mjs';

ensureNode();
ensureInstalled();
const env = { ...process.env, EXPO_NO_TELEMETRY: '1' };
const children = [
  spawn(bin('tsx'), ['watch', 'server/main.ts'], { stdio: 'inherit', env: { ...env, WANDERUNG_DEV: '1' } }),
  spawn(bin('expo'), ['start', '--web'], {
    stdio: 'inherit',
    env: { ...env, EXPO_PUBLIC_API: 'http://localhost:3000' },
  }),
];
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => children.forEach((c) => c.kill(signal)));
for (const c of children) c.on('exit', (code) => process.exit(code ?? 0));
