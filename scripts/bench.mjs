// npm run bench: bundled as the application is (loose modules cost the engine half its speed), then run.
import { build } from 'esbuild';
import { run } from './lib.mjs';

const outfile = 'build/bench.mjs';
await build({
  entryPoints: ['bench/index.ts'],
  bundle: true,
  platform: 'node',
  format: 'esm',
  mainFields: ['module', 'main'],
  external: ['@playwright/test', '@dimforge/rapier3d-compat'],
  banner: { js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);" },
  outfile,
});
run(process.execPath, [outfile]);
