// npm test [-- unit|e2e]: everything, from a clean clone too; ends with one line that counts the tests.
import fs from 'node:fs';
import { bin, ensureBuilt, ensureChromium, ensureInstalled, ensureNode, tryRun } from './lib.mjs';

const only = process.argv[2];
ensureNode();
ensureInstalled();
const results = [];
const seconds = (since) => ((performance.now() - since) / 1000).toFixed(0);

/** Runs one part; `count` reads how many tests passed and failed, otherwise the part is one check. */
function part(name, work, count) {
  console.log(`\n── ${name} ──`);
  const since = performance.now();
  const status = work();
  const [passed, failed] = count?.() ?? (status === 0 ? [1, 0] : [0, 1]);
  // A runner that broke before it could count has failed all the same.
  results.push({ name, passed, failed: failed === 0 && status !== 0 ? 1 : failed, time: seconds(since) });
}

function readJson(file) {
  try {
    return JSON.parse(fs.readFileSync(file, 'utf8'));
  } catch {
    return null;
  }
}

fs.mkdirSync('test-results', { recursive: true });
const unitFile = 'test-results/unit.json';
const e2eFile = 'test-results/results.json';
for (const f of [unitFile, e2eFile]) fs.rmSync(f, { force: true });

if (only !== 'e2e') {
  part('types', () => tryRun(bin('tsc'), ['--noEmit']));
  part('lint', () => tryRun(bin('eslint'), ['.', '--max-warnings', '0']));
  part('format', () => tryRun(bin('prettier'), ['--check', '--log-level', 'warn', '.']));
  part(
    'unit',
    () => tryRun(bin('jest'), ['--maxWorkers=100%', '--json', `--outputFile=${unitFile}`]),
    () => {
      const r = readJson(unitFile);
      return r ? [r.numPassedTests, r.numFailedTests + r.numRuntimeErrorTestSuites] : [0, 1];
    },
  );
}
if (only !== 'unit') {
  const CHROMIUM_PATH = ensureChromium();
  ensureBuilt();
  part(
    'end to end',
    () => tryRun(bin('playwright'), ['test', ...process.argv.slice(3)], { CHROMIUM_PATH }),
    () => {
      const r = readJson(e2eFile);
      return r ? [r.stats.expected + r.stats.flaky, r.stats.unexpected] : [0, 1];
    },
  );
}

console.log('\npart          passed  failed  seconds');
for (const r of results)
  console.log(
    `${r.name.padEnd(13)} ${String(r.passed).padStart(6)}  ${String(r.failed).padStart(6)}  ${r.time.padStart(7)}`,
  );
const sum = (k) => results.reduce((s, r) => s + r[k], 0);
console.log(`\n${sum('passed')} passed, ${sum('failed')} failed`);
process.exitCode = sum('failed') > 0 ? 1 : 0;
