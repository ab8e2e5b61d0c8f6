// npm test [-- unit|e2e]: everything, from a clean clone too; ends with one line that counts the tests.
import fs from 'node:fs';
import { bin, ensureBuilt, ensureChromium, ensureInstalled, ensureNode, nativeTsc, runBeside, tryRun } from './lib.mjs';

const only = process.argv[2];
ensureNode();
ensureInstalled();
const results = [];
const seconds = (since) => ((performance.now() - since) / 1000).toFixed(0);

/** Runs one part, whose tests are counted by `count`. */
async function part(name, work, count) {
  console.log(`\n── ${name} ──`);
  const since = performance.now();
  const status = await work();
  const [passed, failed] = count();
  // A runner that broke before it could count has failed all the same.
  results.push({ name, passed, failed: failed === 0 && status !== 0 ? 1 : failed, time: seconds(since) });
}

/** A check that runs beside others: one test. */
async function check(name, cmd, args) {
  const since = performance.now();
  const { status, told } = await runBeside(cmd, args);
  console.log(`\n── ${name} ──\n${told}`);
  results.push({ name, passed: status === 0 ? 1 : 0, failed: status === 0 ? 0 : 1, time: seconds(since) });
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
  // All at once: where one waits for its last file, or for a package, the other goes on. A file that has not changed since it was
  // found right is not read again.
  const cached = (name) => [
    '--cache',
    '--cache-strategy',
    'content',
    '--cache-location',
    `node_modules/.cache/${name}`,
  ];
  const format = () => check('format', bin('prettier'), ['--check', ...cached('format'), '--log-level', 'warn', '.']);
  const spelling = () => check('spelling', bin('cspell'), ['lint', '--no-progress', '--no-summary']);
  const jest = ['--maxWorkers=100%', '--json', `--outputFile=${unitFile}`];
  await Promise.all([
    check('types', nativeTsc, ['--noEmit']).then(format).then(spelling),
    check('lint', bin('eslint'), ['.', ...cached('lint'), '--max-warnings', '0']),
    only !== 'unit' && runBeside(process.execPath, ['scripts/prepare.mjs']), // what fails is tried again below, and told
    part(
      'unit',
      async () => (await runBeside(bin('jest'), jest, true)).status,
      () => {
        const r = readJson(unitFile);
        return r ? [r.numPassedTests, r.numFailedTests + r.numRuntimeErrorTestSuites] : [0, 1];
      },
    ),
  ]);
}
if (only !== 'unit') {
  const CHROMIUM_PATH = ensureChromium();
  ensureBuilt();
  await part(
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
