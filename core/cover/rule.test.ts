import fc from 'fast-check';
import type { CastPlan } from '../cast';
import { type Cover, coverFor, nextByRule, ruleCasts, stepOf } from './rule';

const plan: CastPlan = { xM: 0, yM: 1, outM: 9, angleDeg: 60, mendM: 0, rod: 'follow' };
const DAY = { shortestM: 8, farM: 12, endXM: 10, visibilityM: 1.2, waterTempC: 10 };
const cover = coverFor(DAY);

const FAR = 100;
const casts = (c: Cover, from: CastPlan): CastPlan[] => ruleCasts({ ...c, startM: from.outM }, from, () => FAR);

describe('covering a run by the rule', () => {
  it('lengthens two feet a cast to the far side, then steps two paces (common practice, no source)', () => {
    const all = casts(cover, plan);
    expect(all[1]!.outM - all[0]!.outM).toBeCloseTo(0.6096, 4);
    expect(Math.max(...all.map((p) => p.outM))).toBeCloseTo(12, 9);
    const steps = all.filter((p, i) => i > 0 && p.xM > all[i - 1]!.xM);
    expect(steps[0]!.xM).toBe(1.5);
    expect(steps.every((p) => p.outM === 12)).toBe(true);
    expect(all[all.length - 1]!.xM).toBeLessThanOrEqual(10);
  });

  it('ends at the end of the run, either way', () => {
    const far = { ...plan, outM: 12 };
    expect(nextByRule(cover, { ...far, xM: 8.6 })).toBeNull();
    expect(nextByRule(cover, { ...far, xM: 8.5 })).toMatchObject({ xM: 10, outM: 12 });
    const up: Cover = { ...cover, stepM: -1.5, endXM: 0 };
    expect(nextByRule(up, { ...far, xM: 1.4 })).toBeNull();
    expect(nextByRule(up, { ...far, xM: 1.5 })).toMatchObject({ xM: 0 });
  });

  it('stands no further out than is safe, nor than at the start', () => {
    const all = ruleCasts(cover, { ...plan, yM: 4 }, (x, y) => Math.min(y, x > 5 ? 2.3 : 9));
    expect(all[0]!.yM).toBe(4);
    expect(all.at(-1)!.yM).toBe(2.3);
  });

  it('narrows the steps in dirty or cold water', () => {
    const at = (visibilityM: number, waterTempC: number) => stepOf({ visibilityM, waterTempC });
    expect(at(0.4, 12)).toBe(0.75);
    expect(at(2, 4)).toBe(0.75);
    expect(at(2, 12)).toBe(1.5);
    expect(coverFor({ ...DAY, visibilityM: 0.4, upstream: true }).stepM).toBe(-0.75);
  });
});

describe('any cover (properties)', () => {
  const any = fc.record({
    shortestM: fc.double({ min: 5, max: 10, noNaN: true }),
    farM: fc.double({ min: 10, max: 24, noNaN: true }),
    endXM: fc.double({ min: 5, max: 150, noNaN: true }),
    visibilityM: fc.double({ min: 0.1, max: 4, noNaN: true }),
    waterTempC: fc.double({ min: 1, max: 19, noNaN: true }),
  });

  it('ends, never reaches past the far side or the end of the run, and never goes back', () => {
    fc.assert(
      fc.property(any, (o) => {
        const c = coverFor(o);
        const all = casts(c, { ...plan, outM: c.startM });
        expect(all.length).toBeLessThan(300);
        expect(all.every(({ outM, xM }) => outM <= c.farM + 1e-9 && xM <= c.endXM + 1e-9)).toBe(true);
        expect(all.slice(1).every(({ outM, xM }, i) => outM >= all[i]!.outM && xM >= all[i]!.xM)).toBe(true);
      }),
      { seed: 8 },
    );
  });

  it('does not lengthen where the far side is nearer than the shortest cast', () => {
    const c = coverFor({ shortestM: 12, farM: 10, endXM: 10, visibilityM: 2, waterTempC: 10 });
    expect(nextByRule(c, { ...plan, outM: c.startM })!.xM).toBeGreaterThan(plan.xM);
  });
});
