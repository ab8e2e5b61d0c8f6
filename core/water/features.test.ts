import fc from 'fast-check';
import { type Feature, FEATURE_KINDS, featureFactor, leftAlone, nearTo, within } from './features';
import { type FeatureDay, type FeatureKind, FEATURES } from './featureTable';

/** In the middle of nowhere: 0, 0. */
const feature = (kind: FeatureKind, o: Partial<Feature> = {}): Feature => {
  const [lengthM, widthM] = FEATURES[kind].size;
  return { id: kind, kind, xM: 0, yM: 0, lengthM, widthM, ...o };
};
const speed = (kind: FeatureKind, xM: number, yM: number, o: Partial<Feature> = {}) =>
  featureFactor([feature(kind, o)], xM, yM);
const day = (o: Partial<FeatureDay> = {}): FeatureDay => ({ migrant: false, warm: false, cold: false, ...o });

describe('where a place is to a feature', () => {
  it('within half its length and width, its edges not included', () => {
    const area = { xM: 10, yM: 5, lengthM: 4, widthM: 2 };
    expect(within(area, 11.9, 5.9)).toBe(true);
    expect(within(area, 12, 5)).toBe(false);
    expect(within(area, 10, 6)).toBe(false);
    expect(within(area, 8.1, 4.1)).toBe(true);
  });

  it('by hand: downstream of its middle, beyond its side, a metre from its ends', () => {
    const f = feature('log', { xM: 10, yM: 5, lengthM: 4, widthM: 2 });
    expect(nearTo(f, 12.9, 7)).toEqual({ dx: expect.closeTo(2.9, 9), dy: 1, within: true, widthM: 2 });
    expect(nearTo(f, 13, 5)).toMatchObject({ dx: 3, dy: -1, within: false });
    expect(nearTo(f, 7.1, 3)).toMatchObject({ dx: expect.closeTo(-2.9, 9), dy: 1, within: true });
  });
});

describe('what a feature does to the current (shapes are choices after the trade; common practice, no source)', () => {
  it('a stone: a quarter of the speed right behind it, faded out six widths down, faster past its sides, none above', () => {
    expect(speed('boulder', 0.001, 0)).toBeCloseTo(0.25, 1);
    expect(speed('boulder', 4.5, 0)).toBeCloseTo(1 - 0.75 / 2, 1); // half of its six widths of 1.5 m
    expect(speed('boulder', 9, 0)).toBe(1);
    expect(speed('boulder', -1.5, 0)).toBe(1);
    expect(speed('boulder', -0.7, 0)).toBeLessThan(1);
    expect(speed('boulder', 1, 1.5)).toBeGreaterThan(1);
    expect(speed('boulder', 1, 6)).toBeCloseTo(1, 2);
    // A larger stone shelters further down.
    expect(speed('boulder', 10, 0, { widthM: 3 })).toBeLessThan(speed('boulder', 8.9, 0));
    expect(speed('log', 1, 0)).toBeLessThan(0.5);
  });

  it('slack of an eddy, a bar and weed: 15, 50 and 50 hundredths in the middle, nothing far off, no jump', () => {
    expect(speed('eddy', 0, 0)).toBeCloseTo(0.15, 9);
    expect(speed('bar', 0, 0)).toBeCloseTo(0.5, 9);
    expect(speed('weed', 0, 0)).toBeCloseTo(0.5, 9);
    expect(speed('eddy', 4, 0)).toBeCloseTo(1 - 0.85 / Math.E, 9); // at its end
    expect(speed('eddy', 0, 2)).toBeCloseTo(1 - 0.85 / Math.E, 9); // at its side
    expect(speed('eddy', 40, 0)).toBeCloseTo(1, 6);
  });

  it('a drop-off slows the water under its lip by a quarter, for six metres, under its own width', () => {
    expect(speed('drop-off', 0, 0)).toBe(1);
    expect(speed('drop-off', 1, 0)).toBeCloseTo(1 - 0.25 * (5 / 6), 9);
    expect(speed('drop-off', 0.5, 0)).toBeCloseTo(1 - 0.25 * 0.5 * (5.5 / 6), 9);
    expect(speed('drop-off', 6, 0)).toBe(1);
    expect(speed('drop-off', 1, 6 * 1.2)).toBeCloseTo(1, 9);
    expect(speed('drop-off', 1, 6)).toBeCloseTo(1 - 0.25 * (5 / 6) * 0.5, 9);
  });

  it('a plunge is a jet with slow water beside it, for eight metres', () => {
    expect(speed('plunge', 1, 0)).toBeGreaterThan(1.3);
    expect(speed('plunge', 1, 2.4)).toBeLessThan(0.65);
    expect(speed('plunge', 8, 0)).toBe(1);
    expect(speed('plunge', -0.1, 0)).toBe(1);
    expect(speed('plunge', 1, 0)).toBeGreaterThan(speed('plunge', 5, 0));
  });

  it('two work together, and nothing ever stands still or turns back', () => {
    const two = featureFactor([feature('bar'), feature('weed')], 0, 0);
    expect(two).toBeCloseTo(0.25, 9);
    const many = Array.from({ length: 9 }, () => feature('eddy'));
    expect(featureFactor(many, 0, 0)).toBe(0.02);
    expect(featureFactor([feature('redd'), feature('foam line')], 0, 0)).toBe(1);
  });

  it('changes nowhere by a jump (property: all kinds)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...FEATURE_KINDS),
        fc.double({ min: -12, max: 12, noNaN: true }),
        fc.double({ min: -8, max: 8, noNaN: true }),
        (kind, x, y) => {
          const here = speed(kind, x, y);
          expect(Math.abs(speed(kind, x + 0.01, y) - here)).toBeLessThan(0.05);
          expect(Math.abs(speed(kind, x, y + 0.01) - here)).toBeLessThan(0.05);
        },
      ),
      { seed: 4, numRuns: 500 },
    );
  });
});

describe('what a feature is to a fish', () => {
  const cover = (kind: FeatureKind, x: number, y: number) => FEATURES[kind].cover!(nearTo(feature(kind), x, y));
  const place = (kind: FeatureKind, x: number, y: number, d: Partial<FeatureDay>) =>
    FEATURES[kind].place!(nearTo(feature(kind), x, y), day(d));
  const reason = (kind: FeatureKind, x: number, d: Partial<FeatureDay> = {}) =>
    FEATURES[kind].reason!.at(nearTo(feature(kind), x, 0), day(d));

  it.each<[FeatureKind, number, number, number]>([
    ['boulder', 1, 0, 0.8],
    ['boulder', -1, 0, 0],
    ['boulder', 7.5, 0, 0],
    ['boulder', 1, 1.6, 0],
    ['log', 1, 0, 0.8],
    ['brush', 0, 2, 0.9],
    ['brush', 0, 2.6, 0],
    ['brush', 5.1, 0, 0],
    ['cut bank', 6.9, 0, 0.9],
    ['riffle', 0, 5, 0.4],
    ['riffle', 0, 6.1, 0],
    ['plunge', 2, 0, 0.8],
    ['plunge', 5, 0, 0],
    ['plunge', 2, 3.6, 0],
    ['foam line', 0, 1, 0.5],
    ['foam line', 0, 1.6, 0],
    ['level step', 0, 6, 0.7],
    ['level step', 7.1, 0, 0],
    ['drop-off', 0, 0, 0],
    ['drop-off', 6, 0, 0],
  ])('%s shelters at %d, %d by %d', (kind, x, y, by) => {
    expect(cover(kind, x, y)).toBeCloseTo(by, 9);
  });

  it('under a drop-off the middle is best (by hand)', () => {
    expect(cover('drop-off', 3, 0)).toBeCloseTo(0.75, 9);
    expect(cover('drop-off', 3, 3)).toBeCloseTo(0.75 * (1 - 0.4 * 0.25), 9);
    expect(cover('drop-off', 3, 6)).toBeCloseTo(0.75 * 0.6, 9);
    expect(cover('drop-off', 3, 7.1)).toBe(0);
  });

  it.each<[FeatureKind, number, number, Partial<FeatureDay>, number]>([
    ['riffle', 0, 0, { warm: true }, 0.9],
    ['riffle', 14, 0, { warm: true }, 0],
    ['riffle', 9, 7, { warm: true }, 0.9],
    ['riffle', -7, 0, { warm: true }, 0],
    ['riffle', 0, 0, {}, 0],
    ['drop-off', 4, 0, { migrant: true }, 1],
    ['drop-off', 4, 0, {}, 0],
    ['drop-off', 8, 0, { migrant: true }, 0],
    ['boulder', 3, 0, { migrant: true }, 0.8],
    ['boulder', -1, 0, { migrant: true }, 0],
    ['boulder', 3, 3, { migrant: true }, 0],
    ['level step', 0, 0, { migrant: true }, 1],
    ['level step', 0, 0, { warm: true }, 0],
    ['spring', 3, 0, { warm: true }, 1],
    ['spring', 3, 0, { cold: true }, 1],
    ['spring', 3, 0, {}, 0],
    ['spring', -2.5, 0, { warm: true }, 0],
    ['spring', 3, 3, { warm: true }, 0],
  ])('%s draws fish at %d, %d on %j by %d', (kind, x, y, d, by) => {
    expect(place(kind, x, y, d)).toBe(by);
  });

  it('is a reason where it works, and not above it or on another day', () => {
    expect([reason('boulder', 3), reason('boulder', 6), reason('boulder', -1)]).toEqual([true, false, false]);
    expect([reason('log', -0.5), reason('log', 5)]).toEqual([true, false]);
    expect([reason('plunge', 4), reason('plunge', 8), reason('plunge', 0)]).toEqual([true, false, false]);
    expect([reason('drop-off', 0), reason('drop-off', 8), reason('drop-off', -0.1)]).toEqual([true, false, false]);
    expect([reason('foam line', 8), reason('foam line', 9)]).toEqual([true, false]);
    expect([reason('cut bank', 6.5), reason('level step', 6.5)]).toEqual([true, true]);
    expect([reason('riffle', 3, { warm: true }), reason('riffle', 3)]).toEqual([true, false]);
    expect([reason('spring', 3, { cold: true }), reason('spring', 3), reason('spring', 7, { cold: true })]).toEqual([
      true,
      false,
      false,
    ]);
  });

  it('wood hinders a cast, stone does not; a redd is left alone, with the water round and below it', () => {
    expect(FEATURE_KINDS.filter((k) => FEATURES[k].hinders)).toEqual(['log', 'brush']);
    const redd = [feature('redd'), feature('boulder', { xM: 50 })];
    // 3 m long, 2 m wide: a metre around it, five below.
    const alone = (x: number, y: number) => leftAlone(redd, x, y);
    expect([alone(0, 0), alone(-3.4, 0), alone(8.4, 0), alone(0, 2.9)]).toEqual([true, true, true, true]);
    expect([alone(-3.6, 0), alone(8.6, 0), alone(0, 3.1), alone(50, 0)]).toEqual([false, false, false, false]);
  });
});
