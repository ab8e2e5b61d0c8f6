import { chanceBetter, PRIOR, priorOf } from '.';
import { BLOCK } from '../cover/trial';
import { seeded } from '../maths';
import { chanceAbove, likelihoodRatio, trialWords } from './trials';

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

  it('never ranks on noise: counts, too few, no difference yet, better', () => {
    const names = { a: 'black', b: 'olive' };
    const both = (sides: Parameters<typeof trialWords>[0]) => trialWords(sides, sides, names, priorOf(false));
    const says = (ta: number, ca: number, tb: number, cb: number) =>
      both({ a: { takes: ta, casts: ca }, b: { takes: tb, casts: cb } });
    expect(says(2, 30, 0, 30)).toBe('Fair trial: black 2 in 30, olive 0 in 30. Too few takes to say.');
    expect(says(3, 30, 2, 30)).toMatch(/No difference yet; black leads \(\d\d in 100\)/);
    expect(says(2, 60, 7, 60)).toMatch(/No difference yet; olive leads \(9\d in 100\)/);
    expect(says(1, 60, 11, 60)).toMatch(/olive is better \(9\d in 100\)/);
    // In the middle of a round nothing is told that was not told at its end.
    const then = { a: { takes: 1, casts: 50 }, b: { takes: 7, casts: 50 } };
    const since = { a: { takes: 1, casts: 60 }, b: { takes: 11, casts: 50 } };
    expect(trialWords(since, then, names, priorOf(false))).toContain('No difference yet; olive leads');
    expect(says(3, 30, 3, 30)).toBe('Fair trial: black 3 in 30, olive 3 in 30. No difference seen.');
    expect(says(0, 300, 60, 300)).toContain('(99 in 100)'); // never as certain
  });

  it('the ratio of likelihoods, by hand', () => {
    // Four to none in as many casts: 1/5 against 1/16.
    expect(likelihoodRatio({ takes: 4, casts: 10 }, { takes: 0, casts: 10 })).toBeCloseTo(16 / 5, 9);
    expect(likelihoodRatio({ takes: 20, casts: 100 }, { takes: 5, casts: 100 })).toBeCloseTo(24.3, 1);
    expect(likelihoodRatio({ takes: 0, casts: 9 }, { takes: 0, casts: 9 })).toBe(1);
  });

  it('looked at after every cast, it tells two flies that are alike apart in few trials, one three times as good in many', () => {
    /** In which share of trials one side is called the better at some time. */
    const called = (of: string, rates: readonly [number, number], casts: number) => {
      let found = 0;
      for (let seed = 1; seed <= TRIALS; seed++) {
        const rand = seeded(seed);
        const sides = [0, 1].map(() => ({ casts: 0, takes: 0 }));
        let even = sides.map((x) => ({ ...x }));
        let said = '';
        for (let cast = 0; cast < casts && !said.includes(of); cast++) {
          const turn = Math.floor(cast / BLOCK) % 2;
          sides[turn]!.casts++;
          if (rand() < rates[turn]!) sides[turn]!.takes++;
          if ((cast + 1) % (2 * BLOCK) === 0) even = sides.map((x) => ({ ...x }));
          const [a, b] = [sides[0]!, sides[1]!];
          said = trialWords({ a, b }, { a: even[0]!, b: even[1]! }, { a: 'one', b: 'other' }, priorOf(false));
        }
        if (said.includes(of)) found++;
      }
      return found / TRIALS;
    };
    const TRIALS = 300;
    for (const rate of [1 / 25, 1 / 12, 1 / 5])
      expect(called('is better', [rate, rate], 300)).toBeLessThanOrEqual(0.05);
    expect(called('other is better', [1 / 12, 3 / 12], 240)).toBeGreaterThan(0.65);
    expect(called('other is better', [1 / 25, 3 / 25], 240)).toBeGreaterThan(0.3);
  });
});
