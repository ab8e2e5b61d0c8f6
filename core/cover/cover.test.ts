import type { CastPlan } from '../advice';
import { castsLeft, coverFor, nextMove, type Cover } from './next';

const plan: CastPlan = { xM: 0, yM: 1, outM: 9, angleDeg: 60, mendM: 0, rod: 'follow' };
const cover = coverFor({ shortestM: 8, farM: 12, endXM: 10, visibilityM: 1.2, waterTempC: 10 });

function casts(c: Cover, from: CastPlan): CastPlan[] {
  const out = [from];
  for (;;) {
    const m = nextMove(c, out[out.length - 1]!);
    if (m.kind === 'done') return out;
    out.push(m.plan);
  }
}

describe('covering a run', () => {
  it('lengthens two feet a cast to the far side, then steps two paces (common practice, no source)', () => {
    const all = casts(cover, plan);
    expect(all[1]!.outM - all[0]!.outM).toBeCloseTo(0.6096, 4);
    expect(Math.max(...all.map((p) => p.outM))).toBeCloseTo(12, 9);
    const steps = all.filter((p, i) => i > 0 && p.xM > all[i - 1]!.xM);
    expect(steps[0]!.xM).toBe(1.5);
    expect(steps.every((p) => p.outM === 12)).toBe(true);
    expect(all[all.length - 1]!.xM).toBeLessThanOrEqual(10);
  });

  it('counts the casts that are left as it then makes them', () => {
    expect(castsLeft(cover, plan)).toBe(casts(cover, plan).length);
  });

  it('narrows the steps in dirty or cold water', () => {
    const at = (visibilityM: number, waterTempC: number) =>
      coverFor({ shortestM: 8, farM: 12, endXM: 10, visibilityM, waterTempC }).stepM;
    expect(at(0.4, 12)).toBe(0.75);
    expect(at(2, 4)).toBe(0.75);
    expect(at(2, 12)).toBe(1.5);
  });
});
