// npm run --silent advise -- …: see scripts/advise.ts.
import { runBundled } from './bundle.mjs';

process.exit(await runBundled('scripts/advise.ts', process.argv.slice(2)));
