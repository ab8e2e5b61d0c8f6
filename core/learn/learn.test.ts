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

  it('weighs the prior of one take in two hundred casts, or another that is given', () => {
    expect(rate(4, 300).mean).toBeCloseTo(5 / 500, 12);
    expect(rate(0, 0).mean).toBeCloseTo(1 / 200, 12);
    expect(rate(4, 300, { takes: 2, casts: 20 }).mean).toBeCloseTo(6 / 320, 12);
    expect(chanceBetter({ takes: 3, casts: 10 }, { takes: 0, casts: 10 }, { takes: 1, casts: 10 })).toBeGreaterThan(
      0.9,
    );
  });

  it('refuses what is no count, by name', () => {
    expect(() => rate(1, -1)).toThrow('casts: must be a count');
    expect(() => rate(NaN, 1)).toThrow('takes: must be a count');
    expect(() => chanceBetter({ takes: 1, casts: 1 }, { takes: Infinity, casts: 1 })).toThrow('takes');
    expect(() => chanceBetter({ takes: 1, casts: -1 }, { takes: 1, casts: 1 })).toThrow('casts');
    expect(() => chanceOfNone(-1, 0, 1)).toThrow('takes');
    expect(rate(0, 0)).toMatchObject({ casts: 0, takes: 0 });
  });

  it('calls a group by its chance and by how much was to be expected', () => {
    const cell = (family: 'woolly bugger' | 'muddler', water: 'fair' | 'dirty', casts: number, takes: number) => ({
      colour: 'black' as const,
      family,
      water,
      casts,
      takes,
    });
    const by = (a: [number, number], b: [number, number], of: 'family' | 'water') =>
      ratesBy([cell('woolly bugger', 'fair', ...a), cell('muddler', 'dirty', ...b)], of).map((g) => [
        g.name,
        g.finding,
      ]);
    expect(by([1000, 10], [1000, 10], 'family')).toEqual([
      ['woolly bugger', 'no difference'],
      ['muddler', 'no difference'],
    ]);
    expect(by([900, 30], [1000, 10], 'water')).toEqual([
      ['dirty', 'worse'],
      ['fair', 'better'],
    ]);
    expect(by([100, 2], [100, 1], 'family').every(([, f]) => f === 'too few to say')).toBe(true);
    expect(by([1000, 15], [1000, 10], 'family').map(([, f]) => f)).toEqual(['no difference', 'no difference']);
    expect(by([1000, 17], [1000, 9], 'family').map(([, f]) => f)).toEqual(['probably better', 'probably worse']);
    expect(ratesBy([], 'colour')).toEqual([]);
    // The same cell seen twice is one group.
    const twice = ratesBy([cell('muddler', 'fair', 10, 1), cell('muddler', 'dirty', 20, 2)], 'family');
    expect(twice).toMatchObject([{ name: 'muddler', rate: { casts: 30, takes: 3 } }]);
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
