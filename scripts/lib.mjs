// Plain Node, no dependency: these scripts run before anything is installed.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { pageBelow } from './pageBelow.mjs';

export const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
process.chdir(root);

const quiet = { EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1', CI: '1' };

/** Runs a command with its output shown; returns its exit code. */
export function tryRun(cmd, args, env = {}) {
  const r = spawnSync(cmd, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...quiet, ...env } });
  if (r.error) console.error(`${cmd}: ${r.error.message}`);
  return r.status ?? 1;
}

/** Runs a command beside others; gives its exit code and, unless it is shown as it comes, what it wrote. */
export const runBeside = (cmd, args, shown = false) =>
  new Promise((resolve) => {
    const stdio = shown ? 'inherit' : 'pipe';
    const child = spawn(cmd, args, { cwd: root, env: { ...process.env, ...quiet }, stdio });
    let told = '';
    for (const stream of [child.stdout, child.stderr]) stream?.on('data', (text) => (told += text));
    child.on('error', (error) => resolve({ status: 1, told: error.message }));
    child.on('close', (status) => resolve({ status: status ?? 1, told }));
  });

export function run(cmd, args, env = {}) {
  const status = tryRun(cmd, args, env);
  if (status === 0) return;
  console.error(`\n${cmd} ${args.join(' ')} failed (exit ${status})`);
  process.exit(status);
}

export const bin = (name) => path.join(root, 'node_modules', '.bin', name);
/** The compiler of types in machine code: a quarter of the time. The one in JavaScript stays for the linter, which reads its trees. */
export const nativeTsc = path.join(root, 'node_modules/typescript-native/bin/tsc');

function hashOf(inputs) {
  const h = createHash('sha256');
  const add = (p) => {
    const s = fs.statSync(p, { throwIfNoEntry: false });
    if (!s) return;
    if (s.isDirectory()) for (const n of fs.readdirSync(p).sort()) add(path.join(p, n));
    else h.update(p).update('\0').update(fs.readFileSync(p)).update('\0');
  };
  inputs.forEach(add);
  return h.digest('hex');
}
const read = (f) => (fs.existsSync(f) ? fs.readFileSync(f, 'utf8') : '');

export function ensureNode() {
  const [a, b, c] = process.versions.node.split('.').map(Number);
  if (a > 20 || (a === 20 && (b > 19 || (b === 19 && c >= 4)))) return;
  console.error(`Node 20.19.4 or newer is needed; this is ${process.versions.node}.`);
  process.exit(1);
}

export function ensureInstalled() {
  const stamp = 'node_modules/.lock-stamp';
  const want = hashOf(['package-lock.json']);
  if (read(stamp) === want) return;
  console.log('Installing the dependencies (about three minutes the first time)…');
  run('npm', ['ci', '--no-audit', '--no-fund']);
  fs.writeFileSync(stamp, want);
}

const sources = [
  'app',
  'screens',
  'ui',
  'core',
  'words',
  'formats',
  'store',
  'workers',
  'server',
  'demo',
  'public',
  'app.json',
  'app.config.js',
];
const settings = [
  'babel.config.js',
  'metro.config.js',
  'scripts/react-native-web.js',
  'scripts/minify.js',
  'tsconfig.json',
  'package-lock.json',
  'scripts/build-workers.mjs',
  'scripts/shorten.mjs',
  'scripts/build-sw.mjs',
];

/** Builds the web application, its service worker and the server when any of their sources changed. */
export function ensureBuilt({ force = false } = {}) {
  const stamp = 'build/.stamp';
  const want = hashOf([...sources, ...settings]);
  if (!force && read(stamp) === want && fs.existsSync('dist/index.html') && fs.existsSync('build/server.mjs')) return;
  console.log('Building (one to three minutes the first time)…');
  fs.rmSync('build', { recursive: true, force: true });
  exportTo('dist');
  buildServer();
  fs.writeFileSync(stamp, want);
}

/**
 * Makes the static files of the application.
 *
 * @param base the path below which they will be served, e.g. "/river"; "" at the root of a host
 */
export function exportTo(folder, base = '') {
  const env = { BASE_PATH: base };
  fs.rmSync(folder, { recursive: true, force: true });
  run(bin('expo'), ['export', '--platform', 'web', '--output-dir', folder], env);
  const page = path.join(folder, 'index.html');
  fs.writeFileSync(page, pageBelow(base, fs.readFileSync(page, 'utf8')));
  run(process.execPath, ['scripts/shorten.mjs', folder]);
  run(process.execPath, ['scripts/build-workers.mjs', folder], env);
  run(process.execPath, ['scripts/build-sw.mjs', folder]);
}

export function buildServer() {
  const flags = ['--bundle', '--platform=node', '--format=esm', '--target=node20', '--packages=external'];
  run(bin('esbuild'), ['server/main.ts', ...flags, '--log-level=warning', '--outfile=build/server.mjs']);
}

/** Runs the built server until it is stopped. */
export function startServer(env) {
  const child = spawn(process.execPath, ['build/server.mjs'], {
    stdio: 'inherit',
    env: { ...process.env, NODE_ENV: 'production', ...env },
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
  child.on('exit', (code) => process.exit(code ?? 0));
}

export function ensureChromium() {
  const places = [
    process.env.CHROMIUM_PATH,
    '/usr/bin/chromium-headless-shell', // the same without a window: a tenth quicker
    '/usr/bin/chromium',
    '/usr/bin/chromium-browser',
    '/usr/bin/google-chrome',
  ];
  const found = places.find((p) => p && fs.existsSync(p));
  if (found) return found;
  const sudo = process.getuid?.() === 0 ? [] : ['sudo', '-n'];
  const apt = (...args) => {
    const [cmd, ...rest] = [...sudo, 'apt-get', ...args];
    return tryRun(cmd, rest, { DEBIAN_FRONTEND: 'noninteractive' }) === 0;
  };
  console.log('Installing Chromium from the system packages…');
  apt('update', '-qq');
  // Older systems have no package of it without a window.
  const name = ['chromium-headless-shell', 'chromium'].find((p) =>
    apt('install', '-y', '-qq', '--no-install-recommends', p),
  );
  if (name) return `/usr/bin/${name}`;
  console.error('\nChromium is missing and could not be installed. Install it, or name one with CHROMIUM_PATH=…');
  process.exit(1);
}
