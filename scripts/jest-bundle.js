const { buildSync } = require('esbuild');
const { createHash } = require('node:crypto');
const fs = require('node:fs');
const path = require('node:path');
const loose = require('./jest-esbuild.js');

// A test in node with all that it imports of the project in one file, as the application is bundled: modules that stand apart look
// each other up at every use, which costs the swing half of its speed, and hundreds of them cost each test file seconds to load.
// Packages stay apart. What takes modules out of the registry itself is left as it is.
const APART = /jest\.(isolateModules|requireActual|mock)\(/;
const ROOT = process.cwd();
const FOLDERS = ['bench', 'core', 'demo', 'formats', 'screens', 'scripts', 'server', 'store', 'ui', 'words', 'workers'];

/** Of all that a test may import. */
let sources;
function hashOfSources() {
  if (sources) return sources;
  const hash = createHash('sha1');
  for (const folder of FOLDERS)
    for (const f of fs.readdirSync(path.join(ROOT, folder), { recursive: true }).sort())
      if (/\.[jt]sx?$/.test(f)) hash.update(f).update(fs.readFileSync(path.join(ROOT, folder, f)));
  return (sources = hash.digest('hex'));
}

module.exports = {
  getCacheKey: (src, file) =>
    APART.test(src)
      ? loose.getCacheKey(src, file)
      : createHash('sha1').update(src).update('\0').update(file).update('\0').update(hashOfSources()).digest('hex'),
  process: (src, file) => {
    if (APART.test(src)) return loose.process(src, file);
    const { outputFiles } = buildSync({
      ...loose.FOR_JEST,
      stdin: { contents: src, sourcefile: file, resolveDir: path.dirname(file), loader: 'ts' },
      absWorkingDir: ROOT,
      bundle: true,
      write: false,
      packages: 'external',
      platform: 'node',
      sourcesContent: false,
      logLevel: 'error',
    });
    return { code: outputFiles[0].text };
  },
};
