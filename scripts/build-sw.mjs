// Writes sw.js into the exported folder (dist, or the one named): every exported file is precached.
import fs from 'node:fs';
import { build } from 'esbuild';
import { getManifest } from 'workbox-build';

const dist = process.argv[2] ?? 'dist';
const { manifestEntries, count, size, warnings } = await getManifest({
  globDirectory: dist,
  globPatterns: ['**/*.{html,js,css,woff2,svg,png,webmanifest,ico}'],
  globIgnores: ['sw.js', '**/*.map', 'metadata.json'],
  dontCacheBustURLsMatching: /(?:-|\.)[0-9a-f]{32}\./, // hashed names need no revision
  maximumFileSizeToCacheInBytes: 8 * 1024 * 1024,
});
for (const w of warnings) console.warn(w);
await build({
  entryPoints: ['workers/sw.ts'],
  outfile: `${dist}/sw.js`,
  bundle: true,
  minify: true,
  format: 'iife',
  target: 'es2020',
  define: { 'self.__WB_MANIFEST': JSON.stringify(manifestEntries), 'process.env.NODE_ENV': '"production"' },
});
const own = fs.statSync(`${dist}/sw.js`).size;
console.log(`sw.js: ${count} files, ${(size / 1024).toFixed(0)} KiB precached, itself ${own} bytes`);
