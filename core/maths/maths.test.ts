import fc from 'fast-check';
import { degrees, radians } from './angles';
import { interpolate } from './interpolate';
import { normal, seeded } from './random';
import { FOUR_IN_FIVE } from './spread';
import { correlation, quantile } from './statistics';

describe('angles', () => {
  it('go there and back', () => {
    expect(radians(180)).toBeCloseTo(Math.PI, 12);
    expect(degrees(Math.PI / 6)).toBeCloseTo(30, 12);
    fc.assert(
      fc.property(fc.double({ min: -1e4, max: 1e4, noNaN: true }), (a) => Math.abs(degrees(radians(a)) - a) < 1e-9),
    );
  });
});

describe('tables', () => {
  const xs = [0, 1, 3];
  const ys = [10, 20, 0];
  it.each([
    [-5, 10],
    [0, 10],
    [0.5, 15],
    [1, 20],
    [2, 10],
    [3, 0],
    [9, 0],
  ])('at %d is %d', (x, y) => {
    expect(interpolate(xs, ys, x)).toBeCloseTo(y, 12);
  });

  it('are refused when empty, uneven or not ascending, by name', () => {
    expect(() => interpolate([], [], 0)).toThrow('table: needs as many values');
    expect(() => interpolate([1], [1, 2], 0)).toThrow('table: needs as many values');
    expect(() => interpolate([0, 2, 1], [0, 1, 2], 2.5)).toThrow('table: places must ascend');
  });

  it('of one value give it everywhere', () => {
    expect(interpolate([4], [7], -1)).toBe(7);
    expect(interpolate([4], [7], 9)).toBe(7);
  });
});

describe('seeded chance', () => {
  it('is the same again, differs by seed, and stays within 0 and 1', () => {
    const draw = (seed: number) => Array.from({ length: 2000 }, seeded(seed));
    expect(draw(7)).toEqual(draw(7));
    expect(draw(7)).not.toEqual(draw(8));
    expect(draw(3).every((x) => x >= 0 && x < 1)).toBe(true);
    expect(draw(3).reduce((a, b) => a + b) / 2000).toBeCloseTo(0.5, 1);
    // Neighbours are independent: the correlation of a long run with itself shifted is small.
    const d = draw(11);
    expect(Math.abs(correlation(d.slice(1), d.slice(0, -1)))).toBeLessThan(0.06);
  });

  it('gives normal deviates of mean 0 and spread 1, four in five within 1.28', () => {
    const rand = seeded(5);
    const d = Array.from({ length: 20_000 }, () => normal(rand));
    const mean = d.reduce((a, b) => a + b) / d.length;
    expect(mean).toBeCloseTo(0, 1);
    expect(Math.sqrt(d.reduce((a, b) => a + (b - mean) ** 2, 0) / d.length)).toBeCloseTo(1, 1);
    expect(d.filter((x) => Math.abs(x) < FOUR_IN_FIVE).length / d.length).toBeCloseTo(0.8, 1);
    // Φ⁻¹(0.9) = 1.2816 (tables of the normal distribution).
    expect(quantile(d, 0.9)).toBeCloseTo(1.2816, 1);
  });
});

describe('statistics', () => {
  it('quantiles lie straight between order statistics (Hyndman & Fan 1996, type 7)', () => {
    expect(quantile([4, 1, 3, 2], 0.5)).toBe(2.5);
    expect(quantile([4, 1, 3, 2], 0)).toBe(1);
    expect(quantile([4, 1, 3, 2], 1)).toBe(4);
    expect(quantile([10, 20], 0.1)).toBeCloseTo(11, 12);
    expect(() => quantile([], 0.5)).toThrow('values: needs at least one');
  });

  it('correlations: of a line 1, of its mirror −1, of what does not vary 0', () => {
    expect(correlation([1, 2, 3], [2, 4, 6])).toBeCloseTo(1, 12);
    expect(correlation([1, 2, 3], [3, 2, 1])).toBeCloseTo(-1, 12);
    expect(correlation([1, 2, 3], [5, 5, 5])).toBe(0);
    expect(correlation([1, 2, 3, 4], [1, 10, 100, 1e6])).toBeLessThan(0.9);
  });
});
