// npm run --silent swing -- case.json   (or - for standard input): one swing as JSON.
// npm run --silent swing -- --time full|coarse FILE…: how long swings take, as JSON. Exit 2 on bad input.
import fs from 'node:fs';
import { readSwingCase, swingResultJson } from '@/formats/swingCase';
import { NUMERICS, runSwing, type SwingCase } from '@/core/swing';
import { DANGLE_TOLD_S } from '@/core/swing/series';
import { refuse } from './command';

function read(file: string): SwingCase {
  let text = '';
  try {
    text = fs.readFileSync(file === '-' ? 0 : file, 'utf8');
  } catch {
    refuse(`case: the file "${file}" cannot be opened`);
  }
  try {
    return readSwingCase(text);
  } catch (error) {
    if (error instanceof RangeError) refuse(process.argv.length > 3 ? `${file}: ${error.message}` : error.message);
    throw error;
  }
}

/** The first swings of a process run slowly: all files are swung for so long before they are timed, ms. */
const WARM_MS = 1500;
const RUNS = 5;

/** Best of five warm runs of every file, each to twenty seconds after its dangle or its end on the bed. */
function timed(cut: string, files: readonly string[]): object[] {
  if (cut !== 'full' && cut !== 'coarse') refuse('--time: say full or coarse, then the files');
  if (files.length === 0) refuse('--time: name at least one file');
  const num = NUMERICS[cut];
  const cases = files.map((f): SwingCase => ({ ...read(f), afterDangleS: DANGLE_TOLD_S }));
  const once = (c: SwingCase) => {
    const t0 = performance.now();
    const { steps, newtons } = runSwing(c, num);
    return { ms: performance.now() - t0, steps, newtons };
  };
  const end = performance.now() + WARM_MS;
  while (performance.now() < end) cases.forEach(once);
  return cases.map((c, i) => {
    const best = Array.from({ length: RUNS }, () => once(c)).reduce((a, b) => (b.ms < a.ms ? b : a));
    return { file: files[i], ...best, ms: Math.round(1000 * best.ms) / 1000 };
  });
}

const [first, second, ...rest] = process.argv.slice(2);
if (!first) refuse('case: name a file, or - for standard input');
try {
  const out = first === '--time' ? timed(second ?? '', rest) : swingResultJson(runSwing(read(first), NUMERICS.fine));
  process.stdout.write(JSON.stringify(out) + '\n');
} catch (error) {
  if (error instanceof RangeError) refuse(error.message);
  throw error;
}
