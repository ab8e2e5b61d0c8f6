// npm run --silent colour -- …: see scripts/colour.ts.
import { runBundled } from './bundle.mjs';

process.exit(await runBundled('scripts/colour.ts', process.argv.slice(2)));
