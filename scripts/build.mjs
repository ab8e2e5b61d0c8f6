import { ensureBuilt, ensureInstalled, ensureNode } from './lib.mjs';

ensureNode();
ensureInstalled();
ensureBuilt({ force: process.argv.includes('--force') });
