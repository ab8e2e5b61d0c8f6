import fc from 'fast-check';
import { chanceOfNone } from './prior';
import { chanceBetter, rate, ratesBy } from './rates';

describe('rates', () => {
  it('compares 4 in 300 with 1 in 250 as published: P = 0.8640 with the prior (1, 200)', () => {
    expect(chanceBetter({ takes: 4, casts: 300 }, { takes: 1, casts: 250 })).toBeCloseTo(0.864, 4);
  });

  it('finds equal data equal, and is complementary (property)', () => {
    const counts = fc.record({ takes: fc.nat(50), casts: fc.nat(5000) });
    fc.assert(
      fc.property(counts, counts, (a, b) => {
        expect(chanceBetter(a, a)).toBeCloseTo(0.5, 6);
        expect(chanceBetter(a, b) + chanceBetter(b, a)).toBeCloseTo(1, 6);
      }),
      { seed: 2 },
    );
  });

  it('has an interval that holds 90 % and narrows with casts', () => {
    const few = rate(2, 100);
    const many = rate(20, 1000);
    expect(few.low).toBeLessThan(few.mean);
    expect(few.high).toBeGreaterThan(few.mean);
    expect(many.high - many.low).toBeLessThan(few.high - few.low);
    // Gamma(1, b) is exponential: its quantiles are −ln(1−p)/b.
    expect(rate(0, 100).low).toBeCloseTo(-Math.log(0.95) / 300, 9);
    expect(rate(0, 100).high).toBeCloseTo(-Math.log(0.05) / 300, 9);
  });

  it('gives the chance of an empty spell', () => {
    expect(chanceOfNone(0, 0, 200)).toBeCloseTo(0.5, 9);
    expect(() => rate(-1, 10)).toThrow('takes');
  });

  it('says too few where there are too few, and does not order by rate', () => {
    const cell = (colour: 'black' | 'olive' | 'red', casts: number, takes: number) => ({
      colour,
      family: 'woolly bugger' as const,
      water: 'fair' as const,
      casts,
      takes,
    });
    const g = ratesBy([cell('black', 2000, 40), cell('olive', 1800, 12), cell('red', 20, 1)], 'colour');
    expect(g.map((x) => x.name)).toEqual(['black', 'olive', 'red']);
    expect(g.map((x) => x.finding)).toEqual(['better', 'worse', 'too few to say']);
  });
});
