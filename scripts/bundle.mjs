import fs from 'node:fs';
import path from 'node:path';
import { build } from 'esbuild';
import { tryRun } from './lib.mjs';

/** Bundles a script as the application is bundled (loose modules cost the engine half its speed) and runs it; returns its
 * exit code. */
export async function runBundled(entry, args = []) {
  const outfile = `build/${path.basename(entry, '.ts')}-${path.basename(path.dirname(entry))}.mjs`;
  // Two commands at once: each writes its own, and puts it in place whole.
  const made = `${outfile}.${process.pid}`;
  await build({
    entryPoints: [entry],
    bundle: true,
    platform: 'node',
    format: 'esm',
    mainFields: ['module', 'main'],
    external: ['@playwright/test', '@dimforge/rapier3d-compat', 'esbuild'],
    banner: { js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);" },
    logLevel: 'error',
    outfile: made,
  });
  fs.renameSync(made, outfile);
  return tryRun(process.execPath, [outfile, ...args]);
}
