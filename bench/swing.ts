import { NUMERICS, runSwing, type Numerics } from '@/core/swing';
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
  const rows = Object.entries(NUMERICS).map(([name, num]) => {
    SPREAD.forEach((c) => runSwing(c, num)); // warm
    const ms = SPREAD.map((c) => time(REPEATS, () => void runSwing(c, num)).median).sort((a, b) => a - b);
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
