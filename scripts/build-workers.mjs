// Puts the workers of the exported folder (dist, or the one named) into one scope each. The application's bundler keeps modules apart
// and looks every import up in a table at each use: with that an answer takes a third longer, and the file is half as large again.
// They keep the names that they had, which go by what is in them.
import fs from 'node:fs';
import path from 'node:path';
import { build } from 'esbuild';

const scripts = path.join(process.argv[2] ?? 'dist', '_expo/static/js/web');
const extensions = ['.tsx', '.ts', '.mjs', '.js', '.json'];
for (const file of fs.readdirSync('workers').filter((f) => f.endsWith('.worker.ts'))) {
  const name = file.replace('.worker.ts', '');
  const [made, ...more] = fs.readdirSync(scripts).filter((f) => new RegExp(`^${name}-[0-9a-f]{32}\\.js$`).test(f));
  if (!made || more.length > 0) throw new Error(`${scripts}: one script of the worker ${name} was expected`);
  await build({
    entryPoints: [path.join('workers', file)],
    outfile: path.join(scripts, made),
    allowOverwrite: true,
    bundle: true,
    minify: true,
    format: 'iife',
    target: 'es2022',
    resolveExtensions: [...extensions.map((e) => `.web${e}`), ...extensions],
    define: {
      'process.env.NODE_ENV': '"production"',
      'process.env.EXPO_OS': '"web"',
      'process.env.EXPO_BASE_URL': JSON.stringify(process.env.BASE_PATH ?? ''),
      __DEV__: 'false',
    },
    logLevel: 'warning',
  });
}
