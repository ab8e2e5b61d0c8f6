// npm start [-- --https]: installs and builds what is missing or stale, then serves the program, empty, for real use.
import { ensureBuilt, ensureInstalled, ensureNode, startServer } from './lib.mjs';

const asked = process.argv.slice(2);
const unknown = asked.find((a) => a !== '--https');
if (unknown) {
  console.error(`"${unknown}" is not known: npm start, or npm start -- --https for phones in the same network.`);
  process.exit(1);
}
ensureNode();
ensureInstalled();
ensureBuilt();
startServer(asked.includes('--https') ? { HTTPS: '1' } : {});
