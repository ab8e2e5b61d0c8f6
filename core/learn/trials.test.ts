import { chanceBetter, PRIOR, priorOf } from '.';
import { BLOCK } from '../cover/trial';
import { seeded } from '../maths';
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
    expect(says(2, 60, 7, 60)).toMatch(/No difference yet; olive leads \(9\d in 100\)/);
    expect(says(1, 60, 9, 60)).toMatch(/olive is better \(9\d in 100\)/);
    expect(says(3, 30, 3, 30)).toBe('Fair trial: black 3 in 30, olive 3 in 30. No difference seen.');
    expect(says(0, 300, 60, 300)).toContain('(99 in 100)'); // never as certain
  });

  it('looked at after every cast, it tells two flies apart that are alike in few trials, and one three times as good in many', () => {
    /** In which share of trials of 160 casts one side is called the better at some time. */
    const called = (of: string, rates: readonly [number, number]) => {
      let found = 0;
      for (let seed = 1; seed <= 200; seed++) {
        const rand = seeded(seed);
        const sides = [0, 1].map(() => ({ casts: 0, takes: 0 }));
        let said = '';
        for (let cast = 0; cast < 160 && !said.includes(of); cast++) {
          const turn = Math.floor(cast / BLOCK) % 2;
          sides[turn]!.casts++;
          if (rand() < rates[turn]!) sides[turn]!.takes++;
          said = trialWords({ a: sides[0]!, b: sides[1]! }, { a: 'one', b: 'other' }, priorOf(false));
        }
        if (said.includes(of)) found++;
      }
      return found / 200;
    };
    expect(called('is better', [1 / 25, 1 / 25])).toBeLessThan(0.06);
    expect(called('is better', [1 / 12, 1 / 12])).toBeLessThan(0.12);
    expect(called('other is better', [1 / 25, 3 / 25])).toBeGreaterThan(0.4);
  });
});
