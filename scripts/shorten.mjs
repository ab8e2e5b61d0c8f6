// Makes the scripts of the exported folder (dist, or the one named) shorter: the application's bundler minifies each module by
// itself; names given over a whole script repeat from module to module, and a twentieth less is left to load.
// Workers are made anew after it (build-workers.mjs): shortened like this the engine is a seventh slower.
import fs from 'node:fs';
import path from 'node:path';
import minify from './minify.js';

const scripts = path.join(process.argv[2] ?? 'dist', '_expo/static/js/web');
for (const file of fs.readdirSync(scripts).filter((f) => f.endsWith('.js'))) {
  const at = path.join(scripts, file);
  fs.writeFileSync(at, minify({ code: fs.readFileSync(at, 'utf8'), reserved: [] }).code);
}
