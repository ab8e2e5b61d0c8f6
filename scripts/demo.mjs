// npm run demo: installs and builds what is missing or stale, then starts the server with the demo data.
import { ensureBuilt, ensureInstalled, ensureNode, startServer } from './lib.mjs';

ensureNode();
ensureInstalled();
ensureBuilt();
startServer({ WANDERUNG_DEMO: '1' });
