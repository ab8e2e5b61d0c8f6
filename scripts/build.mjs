// npm run build [-- --force] [-- --base /river]: the application and its server; with --base the static files for a path below a
// host's root, in dist-below/.
import { ensureBuilt, ensureInstalled, ensureNode, exportTo } from './lib.mjs';

const at = process.argv.indexOf('--base');
const base = at < 0 ? null : process.argv[at + 1];
if (base !== null && !/^(\/[\w.-]+)+$/.test(base ?? '')) {
  console.error('--base wants a path such as /river: it begins with a slash and does not end with one.');
  process.exit(1);
}
ensureNode();
ensureInstalled();
if (base) exportTo('dist-below', base);
else ensureBuilt({ force: process.argv.includes('--force') });
