import fc from 'fast-check';
import type { Exposure } from '../logbook';
import { seeded } from '../maths';
import { FLY_COLOURS } from '../tackle';
import { RIG } from '../testing/fixtures';
import { type Counted, hintFor } from './hint';
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

  it('what is remembered counts for half, and takes in casts that nobody knows for nothing', () => {
    const counted = Array.from({ length: 6 }, () => [cell('black', 100, 4), cell('olive', 100, 2)]);
    const hand = (how: Exposure['how'], of: number) =>
      Array.from({ length: 6 }, () => [{ ...cell('red', of, 4), how }]);
    const red = (how: Exposure['how'], of = 200) =>
      ratesBy([...counted, ...hand(how, of)], 'colour').find((g) => g.name === 'red');
    const entered = { casts: 1200, takes: 24 };
    expect(red('by hand')).toMatchObject({ ...entered, byHand: 1200, rate: { casts: 600, takes: 12 } });
    expect(red(undefined)).toMatchObject({ ...entered, byHand: 0, rate: entered });
    const width = (g: ReturnType<typeof red>) => g!.rate.high - g!.rate.low;
    expect(width(red('by hand'))).toBeGreaterThan(1.2 * width(red(undefined)));
    expect(red('casts not known', 0)).toBeUndefined();
    // Nor do they raise what is expected of the others.
    const black = (all: Parameters<typeof ratesBy>[0]) =>
      ratesBy(all, 'colour').find((g) => g.name === 'black')!.expected;
    expect(black([...counted, ...hand('casts not known', 0)])).toBe(black(counted));
  });

  it('refuses what is no count, by name', () => {
    expect(() => rate(1, -1)).toThrow('casts: must be a count');
    expect(() => rate(NaN, 1)).toThrow('takes: must be a count');
    expect(() => chanceBetter({ takes: 1, casts: 1 }, { takes: Infinity, casts: 1 })).toThrow('takes');
    expect(() => chanceBetter({ takes: 1, casts: -1 }, { takes: 1, casts: 1 })).toThrow('casts');
    expect(() => chanceOfNone(-1, 0, 1)).toThrow('takes');
    expect(rate(0, 0)).toMatchObject({ casts: 0, takes: 0 });
  });

  const cell = (
    colour: Exposure['colour'],
    casts: number,
    takes: number,
    water: Exposure['water'] = 'green',
  ): Exposure => ({
    ...{ colour, family: 'woolly bugger' as const, water, season: 'Jun–Aug' as const, casts, takes },
  });
  /** The same sums, spread over twenty outings. */
  const spread = (...cells: Exposure[]): Exposure[][] =>
    Array.from({ length: 20 }, (_, i) =>
      cells.map((c) => ({
        ...c,
        casts: Math.floor(((i + 1) * c.casts) / 20) - Math.floor((i * c.casts) / 20),
        takes: Math.floor(((i + 1) * c.takes) / 20) - Math.floor((i * c.takes) / 20),
      })),
    );
  const found = (outings: readonly (readonly Exposure[])[]) =>
    Object.fromEntries(ratesBy(outings, 'colour').map((g) => [g.name, g.finding]));

  it('calls what is plain, and says too few where there are too few casts or takes', () => {
    expect(found(spread(cell('black', 1000, 30), cell('olive', 1000, 8)))).toEqual({ black: 'better', olive: 'worse' });
    expect(found(spread(cell('black', 1000, 12), cell('olive', 1000, 10)))).toEqual({
      black: 'no difference seen',
      olive: 'no difference seen',
    });
    expect(found(spread(cell('black', 2000, 40), cell('red', 99, 9))).red).toBe('too few to say');
    expect(found(spread(cell('black', 2000, 10), cell('red', 150, 3))).red).toBe('too few to say');
    expect(ratesBy([], 'colour')).toEqual([]);
  });

  it('lists by casts, not by rate; a cell seen twice is one group', () => {
    const g = ratesBy(
      [[cell('red', 20, 1), cell('black', 2000, 20)], [cell('olive', 1800, 30)], [cell('red', 30, 1)]],
      'colour',
    );
    expect(g.map((x) => [x.name, x.rate.casts, x.rate.takes])).toEqual([
      ['black', 2000, 20],
      ['olive', 1800, 30],
      ['red', 50, 2],
    ]);
  });

  it('compares like with like: a colour that is only fished in good water is not better for it', () => {
    const outings = spread(
      cell('black', 800, 16, 'dirty'),
      cell('olive', 400, 8, 'dirty'),
      cell('black', 400, 24, 'clear'),
      cell('olive', 800, 48, 'clear'),
    );
    expect(found(outings)).toEqual({ black: 'no difference seen', olive: 'no difference seen' });
    expect(ratesBy(outings, 'water').map((g) => [g.name, g.finding])).toEqual([
      ['dirty', 'worse'],
      ['clear', 'better'],
    ]);
    // Nothing else was ever fished there: it cannot be told from the water.
    expect(found(spread(cell('black', 900, 9, 'dirty'), cell('olive', 900, 36, 'clear')))).toEqual({
      black: 'cannot be separated',
      olive: 'cannot be separated',
    });
  });

  it('nor for the season or the river: what was fished in the good ones only is not better for it', () => {
    const at = (e: Exposure, season: Exposure['season'], place: string) => ({ ...e, season, place });
    // By hand: in autumn 6 in 100 take any fly, in summer 1; olive is fished in autumn mostly.
    const seasons = spread(
      at(cell('black', 1600, 16), 'Jun–Aug', 'a'),
      at(cell('olive', 400, 4), 'Jun–Aug', 'a'),
      at(cell('black', 400, 24), 'Sep–Nov', 'a'),
      at(cell('olive', 1600, 96), 'Sep–Nov', 'a'),
    );
    expect(found(seasons)).toEqual({ black: 'no difference seen', olive: 'cannot be separated' });
    // The same sums without their seasons would have called it.
    expect(found(seasons.map((o) => o.map((e) => at(e, 'Jun–Aug', 'a')))).olive).toBe('better');
    const rivers = spread(at(cell('black', 900, 9), 'Jun–Aug', 'a'), at(cell('olive', 900, 36), 'Jun–Aug', 'b'));
    expect(found(rivers)).toEqual({ black: 'cannot be separated', olive: 'cannot be separated' });
    expect(
      ratesBy(
        rivers.map((o) => o.map((e) => ({ ...e, water: e.colour === 'black' ? 'dirty' : 'clear' }))),
        'water',
      ).map((g) => g.finding),
    ).toEqual(['cannot be separated', 'cannot be separated']);
  });

  it('proves nothing by one outing, whatever it brought', () => {
    expect(found([[cell('black', 1000, 30), cell('olive', 1000, 8)]]).black).toBe('no difference seen');
  });

  it('takes bunches for bunches: the same sums from few good outings prove less', () => {
    const even = Array.from({ length: 20 }, () => [cell('black', 50, 1), cell('olive', 50, 0)]);
    const bunched = Array.from({ length: 20 }, (_, i) => [cell('black', 50, i < 2 ? 10 : 0), cell('olive', 50, 0)]);
    expect(found(even).black).toBe('better');
    expect(found(bunched).black).toBe('no difference seen');
    const width = (o: typeof even) => {
      const { low, high } = ratesBy(o, 'colour')[0]!.rate;
      return high - low;
    };
    expect(width(bunched)).toBeGreaterThan(1.5 * width(even));
  });

  /** A made-up season: eleven colours, 4,000 casts in forty outings of unlike luck, three colours an outing. */
  const season = (rand: () => number, skew: number, factor: number): Exposure[][] => {
    const weights = FLY_COLOURS.slice(0, 11).map((_, i) => skew ** i);
    const pick = () => {
      let u = rand() * weights.reduce((a, b) => a + b);
      return FLY_COLOURS[weights.findIndex((w) => (u -= w) <= 0)]!;
    };
    return Array.from({ length: 40 }, () => {
      // Luck of an outing: gamma of shape 3, as the mean of three exponentials.
      const luck = (-Math.log(rand()) - Math.log(rand()) - Math.log(rand())) / 3;
      return [0, 1, 2].map(() => {
        const colour = pick();
        const rate = 0.02 * luck * (colour === FLY_COLOURS[2] ? factor : 1);
        return cell(colour, 33, Array.from({ length: 33 }, () => rand() < rate).filter(Boolean).length);
      });
    });
  };
  const share = (seasons: number, skew: number, factor: number, is: (f: Record<string, string>) => boolean) => {
    const rand = seeded(5);
    return (
      Array.from({ length: seasons }, () => is(found(season(rand, skew, factor)))).filter(Boolean).length / seasons
    );
  };
  const called = (f: Record<string, string>) => Object.values(f).some((x) => x === 'better' || x === 'worse');

  it.each([1, 0.75])('calls none in nineteen of twenty seasons without a difference (500, colours as %s)', (skew) => {
    expect(share(500, skew, 1, called)).toBeLessThanOrEqual(0.05);
  });

  it('finds a colour three times as good in half of the seasons and more', () => {
    expect(share(100, 0.75, 3, (f) => f[FLY_COLOURS[2]!] === 'better')).toBeGreaterThan(0.5);
  });

  it('gives the chance of an empty spell', () => {
    expect(chanceOfNone(0, 0, 200)).toBeCloseTo(0.5, 9);
    expect(() => rate(-1, 10)).toThrow('takes');
  });
});

describe('the hint', () => {
  const counted: Counted = {
    ...{ castsSinceTake: 0, castsSinceChange: 0, lately: { casts: 0, touches: 0 }, hung: 0, fresh: true },
    ...{ rig: RIG, own: { casts: 0, takes: 0 } },
  };
  const says = (o: Partial<Counted>) => hintFor({ ...counted, ...o });
  const WETS = { ...RIG, fly: { ...RIG.fly, family: 'soft-hackle spider' as const } };

  it('says lighten for a bed touched cast after cast, and praises a touch now and then', () => {
    expect(says({ lately: { casts: 8, touches: 4 } }).code).toBe('bed');
    expect(says({ lately: { casts: 10, touches: 4 } }).code).toBe('bed');
    expect(says({ lately: { casts: 10, touches: 3 } }).code).toBe('touches well');
    expect(says({ lately: { casts: 8, touches: 1 } }).code).toBe('touches well');
    expect(says({ lately: { casts: 3, touches: 2 } }).code).toBe('watch');
    expect(says({ lately: { casts: 8, touches: 0 } }).code).toBe('watch');
  });

  it('says lighten where flies hang up or are lost again and again, with the numbers', () => {
    expect(says({ hung: 2, castsSinceChange: 20 })).toEqual({ code: 'hung', times: 2, casts: 20, first: 'tip' });
    const none = { ...RIG, tip: null };
    const sinking = { ...none, head: { ...RIG.head, sinkRatesMps: [0.1] } };
    const float = { item: { type: 'float', id: 'o', name: 'o', diameterM: 0.016, massKg: 6e-4 }, aboveM: 1 } as const;
    for (const [rig, first] of [
      [none, 'fly'],
      [sinking, 'line'],
      [{ ...RIG, shot: { massKg: 2e-4, aboveFlyM: 0.3 } }, 'shot'],
      [{ ...none, float }, 'float'],
    ] as const)
      expect(says({ rig, lately: { casts: 8, touches: 4 } })).toEqual({ code: 'bed', casts: 8, touches: 4, first });
    expect(says({ rig: { ...none, float } })).toEqual({ code: 'watch', what: 'float' });
    expect(says({ hung: 1, castsSinceChange: 3 }).code).toBe('watch');
    expect(says({ hung: 2, castsSinceChange: 40 }).code).toBe('watch');
  });

  it('asks for a change after sixty casts with none, and for a reading where there is none', () => {
    expect(says({ castsSinceChange: 60 })).toEqual({ code: 'unchanged', casts: 60 });
    expect(says({ fresh: false })).toEqual({ code: 'not read' });
    expect(says({})).toEqual({ code: 'watch', what: 'line' });
  });

  it('holds an empty spell against one’s own log, and against the method where there is none', () => {
    const spell = (o: Partial<Counted>) => {
      const hint = says({ castsSinceTake: 50, ...o });
      return hint.code === 'no take' ? hint : { none: NaN, by: null };
    };
    const empty = (o: Partial<Counted>) => spell(o).none;
    // One take in a hundred casts of one's own: fifty empty ones are ordinary.
    expect(empty({ own: { casts: 4000, takes: 40 } })).toBeGreaterThan(0.5);
    expect(empty({ own: { casts: 4000, takes: 200 } })).toBeLessThan(empty({ own: { casts: 4000, takes: 40 } }));
    expect(empty({ rig: WETS })).toBeLessThan(empty({ rig: RIG }));
    // Whose rate it is: one's own from as many casts on as what is expected weighs.
    const whose = (casts: number, rig = RIG) => spell({ rig, own: { casts, takes: 1 } }).by;
    expect([whose(59), whose(60), whose(11, WETS), whose(12, WETS)]).toEqual([
      ...['streamers', 'own log', 'wets', 'own log'],
    ]);
    expect(empty({ castsSinceTake: 400, own: { casts: 4000, takes: 40 } })).toBeLessThan(0.1);
  });

  it('says when a change pays, how many casts more would tell, and when to go', () => {
    const clock = { right: 0.41, stays: 0.01, changed: 0.02, changeAfter: 0, casts: 38, takes: 0 };
    const here = { leave: false, ratio: 1.4, walkMin: 10 };
    const change = { code: 'change', casts: 38, takes: 0, after: 0, right: 0.41 };
    expect(says({ change: clock, leave: here })).toEqual(change);
    expect(says({ change: { ...clock, changeAfter: 10 }, leave: here })).toEqual({ ...change, after: 10 });
    for (const changeAfter of [11, null])
      expect(says({ change: { ...clock, changeAfter }, leave: here }).code).toBe('watch');
    const left = (ratio: number) => says({ change: clock, leave: { leave: true, ratio, walkMin: 10 } });
    expect(left(0.84)).toEqual({ code: 'leave', ratio: 0.84, walkMin: 10 });
    expect(left(0.85).code).toBe('change'); // a little less is no reason to go
    // A few casts say nothing yet; a bed that is touched comes first.
    const early = { change: { ...clock, casts: 14 }, leave: { leave: true, ratio: 0.5, walkMin: 10 } };
    expect(says(early).code).toBe('watch');
    expect(says({ change: clock, lately: { casts: 8, touches: 4 } }).code).toBe('bed');
  });
});
