// npm run --silent cover -- …: see scripts/cover.ts.
import { runBundled } from './bundle.mjs';

process.exit(await runBundled('scripts/cover.ts', process.argv.slice(2)));
