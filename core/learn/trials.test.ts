import { chanceBetter, PRIOR, priorOf } from '.';
import { BLOCK } from '../cover/trial';
import { seeded } from '../maths';
import { chanceAbove, likelihoodRatio, trialSoFar } from './trials';

describe('what a fair trial proves', () => {
  it('as the incomplete beta of the library does: P = 0.8640 of 4 in 300 against 1 in 250', () => {
    expect(chanceAbove({ takes: 4, casts: 300 }, { takes: 1, casts: 250 }, PRIOR)).toBeCloseTo(0.864, 4);
    for (const [t, c, u, d] of [
      [0, 10, 0, 10],
      [7, 40, 2, 38],
      [1, 90, 6, 20],
    ] as const) {
      const [a, b] = [
        { takes: t, casts: c },
        { takes: u, casts: d },
      ];
      expect(chanceAbove(a, b, PRIOR)).toBeCloseTo(chanceBetter(a, b, PRIOR), 9);
    }
  });

  it('never ranks on noise: too few, no difference, ahead, better', () => {
    const side = (takes: number, casts: number) => ({ takes, casts });
    const says = (ta: number, ca: number, tb: number, cb: number) => {
      const sides = { a: side(ta, ca), b: side(tb, cb) };
      return trialSoFar(sides, sides, priorOf(false));
    };
    expect(says(2, 30, 0, 30)).toMatchObject({ finding: 'too few', better: null });
    expect(says(3, 30, 2, 30)).toMatchObject({ finding: 'leads', better: 'a' });
    expect(says(2, 60, 7, 60)).toMatchObject({ finding: 'leads', better: 'b' });
    expect(says(2, 60, 7, 60).chance).toBeGreaterThan(0.9);
    expect(says(1, 60, 11, 60)).toMatchObject({ finding: 'better', better: 'b' });
    // In the middle of a round nothing is told that was not told at its end.
    const then = { a: side(1, 50), b: side(7, 50) };
    const since = { a: side(1, 60), b: side(11, 50) };
    expect(trialSoFar(since, then, priorOf(false))).toMatchObject({ finding: 'leads', better: 'b' });
    expect(says(3, 30, 3, 30)).toMatchObject({ finding: 'no difference', better: null });
  });

  it('the ratio of likelihoods, by hand', () => {
    // Four to none in as many casts: 1/5 against 1/16.
    expect(likelihoodRatio({ takes: 4, casts: 10 }, { takes: 0, casts: 10 })).toBeCloseTo(16 / 5, 9);
    expect(likelihoodRatio({ takes: 20, casts: 100 }, { takes: 5, casts: 100 })).toBeCloseTo(24.3, 1);
    expect(likelihoodRatio({ takes: 0, casts: 9 }, { takes: 0, casts: 9 })).toBe(1);
  });

  it('looked at after every cast, it tells two flies that are alike apart in few trials, one three times as good in many', () => {
    /** In which share of trials one side is called the better at some time. */
    const called = (of: readonly ('a' | 'b')[], rates: readonly [number, number], casts: number) => {
      let found = 0;
      for (let seed = 1; seed <= TRIALS; seed++) {
        const rand = seeded(seed);
        const sides = [0, 1].map(() => ({ casts: 0, takes: 0 }));
        let even = sides.map((x) => ({ ...x }));
        let isCalled = false;
        for (let cast = 0; cast < casts && !isCalled; cast++) {
          const turn = Math.floor(cast / BLOCK) % 2;
          sides[turn]!.casts++;
          if (rand() < rates[turn]!) sides[turn]!.takes++;
          if ((cast + 1) % (2 * BLOCK) === 0) even = sides.map((x) => ({ ...x }));
          const [a, b] = [sides[0]!, sides[1]!];
          const so = trialSoFar({ a, b }, { a: even[0]!, b: even[1]! }, priorOf(false));
          isCalled = so.finding === 'better' && of.includes(so.better!);
        }
        if (isCalled) found++;
      }
      return found / TRIALS;
    };
    const TRIALS = 300;
    for (const rate of [1 / 25, 1 / 12, 1 / 5]) expect(called(['a', 'b'], [rate, rate], 300)).toBeLessThanOrEqual(0.05);
    expect(called(['b'], [1 / 12, 3 / 12], 240)).toBeGreaterThan(0.65);
    expect(called(['b'], [1 / 25, 3 / 25], 240)).toBeGreaterThan(0.3);
  });
});
