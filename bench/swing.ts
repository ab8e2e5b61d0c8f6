import { execFileSync } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';
import { NUMERICS, type Numerics, runSwing } from '@/core/swing';
import { quantile } from '@/core/maths/statistics';

import { SPREAD } from './cases';
import { table, time } from './table';

const REPEATS = 7;

/** Each set of numerics over the spread: time, and how far the deepest point lies from the finest. */
export function benchSwing(): void {
  const reference: Numerics = {
    ...NUMERICS.fine,
    tipLinkM: 0.15,
    leaderLinkM: 0.15,
    floatLinkM: 0.2,
    floatLinkMaxM: 0.5,
    maxStepS: 0.1,
  };
  const truth = SPREAD.map((c) => runSwing(c, reference));
  const sets: Record<string, Numerics> = {
    ...NUMERICS,
    'full, steps of 0.1 s': { ...NUMERICS.full, maxStepS: 0.1 },
    'full, steps of 0.02 s': { ...NUMERICS.full, maxStepS: 0.02 },
  };
  // In turn, so that a slow moment of the machine falls on all of them.
  const timings = Object.values(sets).map(() => SPREAD.map((): number[] => []));
  for (let k = 0; k <= REPEATS; k++)
    Object.values(sets).forEach((num, n) =>
      SPREAD.forEach((c, i) => {
        const { median } = time(1, () => void runSwing(c, num));
        if (k > 0) timings[n]![i]!.push(median); // the first is for warming up
      }),
    );
  const middle = (v: number[]) => v.sort((a, b) => a - b)[Math.floor(v.length / 2)]!;
  const rows = Object.entries(sets).map(([name, num], n) => {
    const ms = timings[n]!.map(middle).sort((a, b) => a - b);
    const errors = SPREAD.map((c, i) => {
      const r = runSwing(c, num);
      return 100 * Math.abs(r.maxDepthM / truth[i]!.maxDepthM - 1);
    }).sort((a, b) => a - b);
    const mid = Math.floor(ms.length / 2);
    return {
      name,
      median: ms[mid]!,
      max: ms[ms.length - 1]!,
      errMid: errors[mid]!,
      err90: errors[Math.floor(0.9 * errors.length)]!,
      errMax: errors[errors.length - 1]!,
    };
  });
  const full = rows.find((r) => r.name === 'full')!;
  table(
    `One swing, ${SPREAD.length} cases (clean and dirty line), warm, one core`,
    ['numerics', 'median ms', 'max ms', 'over full', 'error % median', '90 %', 'max'],
    rows.map((r) => [r.name, r.median, r.max, r.median / full.median, r.errMid, r.err90, r.errMax]),
  );
}

const ROUNDS = 6;

/**
 * Beside a second implementation of the same model, where `YARDSTICK=` names its folder: time.mjs FILE… prints
 * [{ file, ms, newtons }] as `npm run swing -- --time` does, cases/ holds the files. Each in a process of its own, in turn, the
 * best of each: what one makes the engine compile does not slow the other.
 */
export function benchYardstick(): void {
  const folder = process.env.YARDSTICK;
  if (!folder) return;
  const cases = path.resolve(folder, 'cases');
  const files = fs
    .readdirSync(cases)
    .sort()
    .map((f) => path.join(cases, f));
  const best = new Map<string, number>();
  const timed = (name: string, args: readonly string[]) => {
    const out = execFileSync(process.execPath, [...args, ...files], { stdio: ['ignore', 'pipe', 'ignore'] });
    for (const { file, ms } of JSON.parse(out.toString()) as { file: string; ms: number }[])
      best.set(name + file, Math.min(ms, best.get(name + file) ?? Infinity));
  };
  for (let k = 0; k < ROUNDS; k++) {
    timed('yardstick', [path.resolve(folder, 'time.mjs')]);
    for (const cut of ['full', 'coarse']) timed(cut, ['scripts/swing.mjs', '--time', cut]);
  }
  const rows = files.map((f) => {
    const [yardstick, full, coarse] = ['yardstick', 'full', 'coarse'].map((name) => best.get(name + f)!);
    return [yardstick!, full!, full! / yardstick!, coarse! / full!];
  });
  const told = (name: string, share: number) => [
    name,
    ...rows[0]!.map((_, c) =>
      quantile(
        rows.map((r) => r[c]!),
        share,
      ),
    ),
  ];
  table(
    `One swing beside the yardstick, ${files.length} cases, warm, a process each`,
    ['case', 'yardstick ms', 'full ms', 'full over it', 'coarse over full'],
    [...files.map((f, i) => [path.basename(f), ...rows[i]!]), told('median', 0.5), told('most', 1)],
  );
}
