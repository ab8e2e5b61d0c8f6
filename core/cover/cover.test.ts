import fc from 'fast-check';
import type { CastPlan } from '../cast';
import { castsLeft, type Cover, coverFor, nextMove } from './next';

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

  it('says a step in paces, and counts from where one stands, not from the head', () => {
    const far = { ...plan, outM: 12, xM: 4 };
    expect(nextMove(cover, far)).toMatchObject({ kind: 'step', paces: 2 });
    expect(nextMove({ ...cover, stepM: 0.75 }, far)).toMatchObject({ kind: 'step', paces: 1 });
    expect(castsLeft(cover, far)).toBe(casts(cover, far).length);
    expect(castsLeft(cover, { ...far, xM: 10 })).toBe(1);
    expect(nextMove(cover, { ...far, xM: 8.6 }).kind).toBe('done');
    expect(nextMove(cover, { ...far, xM: 8.5 }).kind).toBe('step');
  });

  it('narrows the steps in dirty or cold water', () => {
    const at = (visibilityM: number, waterTempC: number) =>
      coverFor({ shortestM: 8, farM: 12, endXM: 10, visibilityM, waterTempC }).stepM;
    expect(at(0.4, 12)).toBe(0.75);
    expect(at(2, 4)).toBe(0.75);
    expect(at(2, 12)).toBe(1.5);
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
        for (let i = 0; i < all.length; i++) {
          expect(all[i]!.outM).toBeLessThanOrEqual(c.farM + 1e-9);
          expect(all[i]!.xM).toBeLessThanOrEqual(c.endXM + 1e-9);
          if (i > 0) {
            expect(all[i]!.outM).toBeGreaterThanOrEqual(all[i - 1]!.outM);
            expect(all[i]!.xM).toBeGreaterThanOrEqual(all[i - 1]!.xM);
          }
        }
      }),
      { seed: 8 },
    );
  });

  it('told the casts that are left, comes out at that number', () => {
    fc.assert(
      fc.property(any, (o) => {
        const c = coverFor(o);
        const start = { ...plan, outM: c.startM };
        expect(Math.abs(castsLeft(c, start) - casts(c, start).length)).toBeLessThanOrEqual(1);
      }),
      { seed: 9 },
    );
  });

  it('does not lengthen where the far side is nearer than the shortest cast', () => {
    const c = coverFor({ shortestM: 12, farM: 10, endXM: 10, visibilityM: 2, waterTempC: 10 });
    expect(nextMove(c, { ...plan, outM: c.startM }).kind).toBe('step');
  });
});
