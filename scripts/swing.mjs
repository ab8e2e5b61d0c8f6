// npm run --silent swing -- …: see scripts/swing.ts.
import { runBundled } from './bundle.mjs';

process.exit(await runBundled('scripts/swing.ts', process.argv.slice(2)));
