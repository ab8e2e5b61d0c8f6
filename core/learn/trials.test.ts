import { chanceBetter, PRIOR, priorOf } from '.';
import { chanceAbove, trialWords } from './trials';

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
    const says = (ta: number, ca: number, tb: number, cb: number) =>
      trialWords({ a: { takes: ta, casts: ca }, b: { takes: tb, casts: cb } }, names, priorOf(false));
    expect(says(2, 30, 0, 30)).toBe('Fair trial: black 2 in 30, olive 0 in 30. Too few takes to say.');
    expect(says(3, 30, 2, 30)).toMatch(/No difference yet; black leads \(\d\d in 100\)/);
    expect(says(1, 60, 9, 60)).toMatch(/olive is better \(9\d in 100\)/);
  });
});
