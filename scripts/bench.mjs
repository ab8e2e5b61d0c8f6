// npm run bench: tables of ratios.
import { runBundled } from './bundle.mjs';

process.exit(await runBundled('bench/index.ts', process.argv.slice(2)));
