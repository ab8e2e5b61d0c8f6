// npm run mutate -- core/water [store …] [--share 0.2 [--seed 7]]: plants small faults in the code of these folders and counts how many
// of them the unit tests beside it catch (docs/testing.md). A folder takes from one to some forty minutes on two cores; with
// a share, only faults in that share of its lines are planted: the same each time with the same seed, others with another.
import fs from 'node:fs';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { bin, tryRun } from './lib.mjs';

const { positionals: folders, values } = parseArgs({
  allowPositionals: true,
  options: { share: { type: 'string', default: '1' }, seed: { type: 'string', default: '20' } },
});
const share = Number(values.share);

/** A fault that runs for ever is caught, too. */
const CAUGHT = ['Killed', 'Timeout'];

/** Minimal standard generator (Park and Miller 1988). */
let seed = Number(values.seed);
const chance = () => (seed = (seed * 48271) % 2147483647) / 2147483647;

/** What is mutated: whole files, or single lines of them. */
function linesOf(folder) {
  const left = /\.(test|testing)\.ts$|\/index\.ts$/;
  const files = fs
    .readdirSync(folder, { recursive: true })
    .map((f) => path.join(folder, f))
    .filter((f) => f.endsWith('.ts') && !left.test(f));
  if (share >= 1) return files;
  return files.flatMap((f) =>
    fs
      .readFileSync(f, 'utf8')
      .split('\n')
      .flatMap((line, i) => (line.trim() && chance() < share ? [`${f}:${i + 1}-${i + 1}`] : [])),
  );
}

if (folders.length === 0) {
  console.error('Name a folder, for example: npm run mutate -- core/water');
  process.exit(2);
}
/** Plants faults in lines of a folder and runs one kind of tests. @returns the faults by where they are and what they do, with their fate */
function planted(folder, mutate, by) {
  const report = `coverage/mutation/${folder.replaceAll('/', '-')}${by === 'components' ? '-components' : ''}.json`;
  const config = {
    testRunner: 'jest',
    plugins: ['@stryker-mutator/jest-runner'],
    jest: { projectType: 'custom', configFile: 'scripts/jest-mutate.config.js', enableFindRelatedTests: false },
    mutate,
    // Faults in strings and in what is made once, when a module is read, say little of the logic: words have tests of
    // their own, and declared choices are told apart in docs/testing.md.
    mutator: { excludedMutations: ['StringLiteral'] },
    ignoreStatic: true,
    coverageAnalysis: 'perTest',
    concurrency: 2,
    timeoutMS: 8000,
    timeoutFactor: 2,
    disableTypeChecks: '{core,store}/**/*.ts',
    ignorePatterns: ['dist', 'build', 'docs', 'public', 'e2e', 'coverage', '.expo'],
    reporters: ['json', 'clear-text', 'progress'],
    clearTextReporter: { reportTests: false, allowColor: false },
    jsonReporter: { fileName: report },
    tempDirName: 'coverage/stryker',
  };
  fs.mkdirSync('coverage/mutation', { recursive: true });
  fs.writeFileSync('coverage/mutation/config.json', JSON.stringify(config));
  fs.rmSync(report, { force: true });
  const env = { FUZZ_RUNS: '60', MUTATED_FOLDER: folder, MUTATED_BY: by };
  status = tryRun(bin('stryker'), ['run', 'coverage/mutation/config.json'], env) || status;
  if (!fs.existsSync(report)) return new Map();
  const { files } = JSON.parse(fs.readFileSync(report, 'utf8'));
  return new Map(
    Object.entries(files).flatMap(([file, { mutants }]) =>
      mutants.map((m) => [`${file} ${JSON.stringify(m.location)} ${m.replacement}`, m.status]),
    ),
  );
}

const rows = [];
let status = 0;
for (const folder of folders) {
  const lines = linesOf(folder);
  const fates = planted(folder, lines, 'node');
  if (fs.readdirSync(folder, { recursive: true }).some((f) => f.endsWith('.test.tsx')))
    for (const [fault, fate] of planted(folder, lines, 'components'))
      if (!CAUGHT.includes(fates.get(fault))) fates.set(fault, fate);
  const count = (...kinds) => [...fates.values()].filter((f) => kinds.includes(f)).length;
  const caught = count(...CAUGHT);
  const all = caught + count('Survived', 'NoCoverage');
  rows.push(
    `${folder.padEnd(18)} ${String(caught).padStart(5)} of ${String(all).padStart(5)}  ${((100 * caught) / all).toFixed(0)} %`,
  );
}
console.log(`\nFaults caught\n${rows.join('\n')}`);
process.exit(status);
