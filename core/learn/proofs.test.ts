import lnNegativeBinomial from '@stdlib/stats-base-dists-negative-binomial-logpmf';
import type { Exposure } from '../logbook';
import { seeded, sumOf } from '../maths';
import { NULL_KINDS, seasonOf, type Seasons } from '../testing/seasons';
import { type Dimension, isCalled, type PlacedExposure } from './evidence';
import { luckOf, scoresOf } from './luck';
import { proofsOf, rated } from './proofs';
import { ratioToOthers, typicalRate } from './ratio';

const cell = (colour: string, casts: number, takes: number, water = 'green', season = 'Jun–Aug'): Exposure => ({
  ...{ shown: { colour, family: 'woolly bugger', water, season }, casts, takes },
});
const part = (n: number, i: number) => Math.floor(((i + 1) * n) / 20) - Math.floor((i * n) / 20);
/** The same sums, spread over twenty outings on which all were fished. */
const spread = (...cells: PlacedExposure[]): PlacedExposure[][] =>
  Array.from({ length: 20 }, (_, i) => cells.map((c) => ({ ...c, casts: part(c.casts, i), takes: part(c.takes, i) })));
const listOf = (outings: readonly (readonly PlacedExposure[])[], by: Dimension = 'colour') =>
  proofsOf(outings, { dims: [by] })[by];
const found = (outings: readonly (readonly PlacedExposure[])[], by: Dimension = 'colour') =>
  Object.fromEntries(listOf(outings, by).map((g) => [g.name, g.finding]));

describe('what casts prove', () => {
  it('calls what is plain, and says too few where there are too few casts or takes', () => {
    expect(found(spread(cell('black', 1000, 34), cell('olive', 1000, 6)))).toEqual({ black: 'better', olive: 'worse' });
    expect(found(spread(cell('black', 1000, 12), cell('olive', 1000, 10)))).toEqual({
      black: 'no difference seen',
      olive: 'no difference seen',
    });
    expect(found(spread(cell('black', 2000, 40), cell('red', 99, 9))).red).toBe('too few to say');
    expect(found(spread(cell('black', 2000, 10), cell('red', 150, 3))).red).toBe('too few to say');
    expect(listOf([])).toEqual([]);
  });

  it('lists by casts, not by rate; a fly seen twice is one', () => {
    const g = listOf([[cell('red', 20, 1), cell('black', 2000, 20)], [cell('olive', 1800, 30)], [cell('red', 30, 1)]]);
    expect(g.map((x) => [x.name, x.casts, x.takes])).toEqual([
      ['black', 2000, 20],
      ['olive', 1800, 30],
      ['red', 50, 2],
    ]);
  });

  it('what is remembered counts for half, and takes in casts that nobody knows for nothing', () => {
    const counted = Array.from({ length: 6 }, () => [cell('black', 100, 4), cell('olive', 100, 2)]);
    const hand = (how: Exposure['how'], casts: number) =>
      Array.from({ length: 6 }, () => [{ ...cell('red', casts, 4), ...(how && { how }) }]);
    const red = (how: Exposure['how'], casts = 200) => {
      const all = [...counted, ...hand(how, casts)];
      return rated(all, 'colour', listOf(all)).find((g) => g.name === 'red');
    };
    expect(red('by hand')).toMatchObject({ casts: 1200, takes: 24, byHand: 1200 });
    expect(red(undefined)).toMatchObject({ casts: 1200, takes: 24, byHand: 0 });
    const width = (g: ReturnType<typeof red>) => g!.rate.high - g!.rate.low;
    expect(width(red('by hand'))).toBeGreaterThan(1.1 * width(red(undefined)));
    expect(red('casts not known', 0)).toBeUndefined();
  });

  it('compares flies of one outing: one that is only fished on good days is not better for it', () => {
    // Black on every day, white on the ten good ones alone, where both take alike.
    const days = Array.from({ length: 20 }, (_, i) =>
      i % 2 === 0 ? [cell('black', 50, 0)] : [cell('black', 50, 3), cell('white', 50, 3)],
    );
    expect(found(days)).toEqual({ black: 'no difference seen', white: 'no difference seen' });
    const [black, white] = rated(days, 'colour', listOf(days));
    expect(white!.rate.middle).toBeGreaterThan(1.6 * black!.rate.middle); // raw
    expect(white!.ratio.middle).toBeLessThan(1.35); // like for like
  });

  it('like with like: what was fished in the good water, season or river only is not better for it', () => {
    const waters = spread(
      ...[cell('black', 800, 16, 'dirty'), cell('olive', 400, 8, 'dirty')],
      ...[cell('black', 400, 24, 'clear'), cell('olive', 800, 48, 'clear')],
    );
    expect(found(waters)).toEqual({ black: 'no difference seen', olive: 'no difference seen' });
    expect(found(waters, 'water')).toEqual({ dirty: 'worse', clear: 'better' });
    const apart = (e: (colour: string, casts: number, takes: number) => PlacedExposure[]) =>
      Array.from({ length: 40 }, (_, i) => e(i % 2 ? 'black' : 'olive', 45, i % 2 ? 1 : 4));
    for (const days of [
      apart((c, n, k) => [cell(c, n, k, c === 'black' ? 'dirty' : 'clear')]),
      apart((c, n, k) => [cell(c, n, k, 'green', c === 'black' ? 'Jun–Aug' : 'Sep–Nov')]),
      apart((c, n, k) => [{ ...cell(c, n, k), place: c === 'black' ? 'a' : 'b' }]),
    ])
      expect(found(days)).toEqual({ black: 'cannot be separated', olive: 'cannot be separated' });
  });

  it('proves nothing by one outing, and takes bunches for bunches', () => {
    expect(found([[cell('black', 1000, 30), cell('olive', 1000, 8)]]).black).toBe('no difference seen');
    const even = Array.from({ length: 20 }, () => [cell('black', 50, 1), cell('olive', 50, 0)]);
    const bunched = Array.from({ length: 20 }, (_, i) => [cell('black', 50, i < 2 ? 10 : 0), cell('olive', 50, 0)]);
    expect(found(even).black).toBe('better');
    expect(found(bunched).black).toBe('no difference seen');
    const width = (o: typeof even) => {
      const { low, high } = rated(o, 'colour', listOf(o))[0]!.rate;
      return high - low;
    };
    expect(width(bunched)).toBeGreaterThan(1.5 * width(even));
  });

  it('a second fly on a cast is no second cast of the water', () => {
    const two = [cell('black', 50, 1), { ...cell('white', 50, 1), again: true as const }];
    expect(listOf([two], 'water')).toMatchObject([{ name: 'green', casts: 50, takes: 2 }]);
    expect(listOf([two]).map((g) => g.casts)).toEqual([50, 50]);
  });

  it('the more one looks at, the plainer must a difference be', () => {
    const days = Array.from({ length: 20 }, (_, i) => [
      cell('black', 50, i % 5 ? 1 : 0),
      cell('olive', 50, i % 6 ? 0 : 1),
    ]);
    const shown = days.map((d, i) =>
      d.map((e) => ({ ...e, shown: { ...e.shown, hour: String(i % 4), sky: String(i % 5) } })),
    );
    expect(proofsOf(shown, { dims: ['colour'] }).colour.filter(isCalled)).toHaveLength(2);
    expect(proofsOf(shown, { budget: 'one water' }).colour.filter(isCalled)).toHaveLength(0);
  });
});

describe('against what others publish', () => {
  it('two strata, as in the cohort of Walker et al. 1997 (in Rothman 2002, from memory): 0.45 and 0.49 apart, 0.47 together, 0.53 and more raw', () => {
    // Deaths and person-years of current and past users of a drug, by age: takes and casts of two flies on two outings.
    const days = [
      [cell('current', 62_119, 196), cell('past', 15_763, 111)],
      [cell('current', 6_085, 167), cell('past', 2_780, 157)],
    ];
    const luck = luckOf(days, 'colour', 'differences');
    const { middle, low, high } = ratioToOthers(luck, 'current', 1);
    expect(middle).toBeGreaterThan(0.45);
    expect(middle).toBeLessThan(0.49);
    // Mantel–Haenszel: 0.469, with 95 % from 0.40 to 0.55.
    expect(low).toBeGreaterThan(0.39);
    expect(high).toBeLessThan(0.56);
    expect(ratioToOthers(luck, 'current', 1).chance).toBeLessThan(0.001);
    expect(ratioToOthers(luck, 'past', 1).chance).toBeGreaterThan(0.999);
  });

  it('two that are alike are above each other by even chances, and one that is sure to nine in ten has its interval’s end at one', () => {
    const alike = luckOf(spread(cell('black', 1000, 20), cell('olive', 1000, 20)), 'colour', 'differences');
    expect(ratioToOthers(alike, 'black', 1).chance).toBeCloseTo(0.5, 1);
    // Of the same counts, taken for so bunched that the lower end of nine in ten comes to one: nineteen in twenty.
    const some = luckOf(spread(cell('black', 1000, 40), cell('olive', 1000, 20)), 'colour', 'differences');
    const at = (bunched: number) => ratioToOthers(some, 'black', bunched);
    let bunched = 1;
    while (at(bunched).low > 1) bunched *= 1.02;
    expect(at(bunched).chance).toBeGreaterThan(0.94);
    expect(at(bunched).chance).toBeLessThan(0.96);
  });

  it('the rate of outings that bunch is where the negative binomial of a library has it', () => {
    const takes = [0, 0, 3, 0, 1, 0, 0, 5, 0, 1, 0, 2];
    const days = takes.map((k) => [cell('black', 50, k)]);
    const luck = luckOf(days, 'colour');
    // The library's chances over a grid of rates and bunchings that is our own prior, worked out again.
    const all = (1 + 12) / (1 + 600);
    const told = 1 / luck.shape;
    let [below, sum] = [0, 0];
    const { middle } = typicalRate({ ...luck }, 'black');
    for (let i = 0; i < 400; i++) {
      const rate = (all / 60) * 3600 ** (i / 399);
      for (let j = 0; j < 40; j++) {
        const bunching = 0.03 * (8 / 0.03) ** (j / 39);
        const shape = 1 / bunching;
        const p = shape / (shape + 50 * rate);
        const ln = takes.reduce((s, k) => s + lnNegativeBinomial(k, shape, p), 0);
        const within = (0.1 * 4) / 4; // nothing is known of bunches within outings of one fly: as supposed
        const w = Math.exp(ln - 2 * Math.log(bunching / (told + within)) ** 2 + Math.log(rate) - rate / all);
        sum += w;
        if (rate < middle) below += w;
      }
    }
    expect(below / sum).toBeCloseTo(0.5, 1);
  });

  it('the mode of the mixed model: each luck is (α + takes) / (α + expected), and all that was expected was taken', () => {
    const days = seasonOf(seeded(3), { ...NULL_KINDS.bunched, outings: 40 });
    const luck = luckOf(days, 'sky');
    const scores = scoresOf(luckOf(days, 'colour'));
    const sum = (of: (s: (typeof scores)[number]) => number) => scores.reduce((a, s) => a + of(s), 0);
    expect(sum((s) => s.expected) / sum((s) => s.takes)).toBeCloseTo(1, 1);
    expect(luck.outings.reduce((a, o) => a + o.takes, 0)).toBe(sum((s) => s.takes));
    for (const s of scores) expect(s.variance).toBeLessThan(s.expected + 1e-12);
  });
});

describe('by simulation', () => {
  const many = (n: number, seed: number, s: Seasons) => {
    const rand = seeded(seed);
    return Array.from({ length: n }, () => seasonOf(rand, s));
  };

  it('calls anything in any list in at most one of twenty seasons without a difference, whatever their kind', () => {
    let called = 0;
    let all = 0;
    for (const [i, kind] of Object.values(NULL_KINDS).entries())
      for (const days of many(15, 40 + i, { ...kind, outings: 30 + 10 * (i % 4) })) {
        all++;
        if (Object.values(proofsOf(days)).some((l) => l.some(isCalled))) called++;
      }
    expect(all).toBe(150);
    expect(called / all).toBeLessThanOrEqual(0.05);
  });

  it('nor where habit goes with the water: only the water is called', () => {
    const kind = { ...NULL_KINDS.bunched, confounded: true, outings: 120 };
    let [flies, water] = [0, 0];
    for (const days of many(20, 7, kind)) {
      const lists = proofsOf(days, { dims: ['colour', 'water'] });
      if (lists.colour.some(isCalled)) flies++;
      if (lists.water.some((g) => g.name === 'clear' && g.finding === 'better')) water++;
    }
    expect(flies).toBeLessThanOrEqual(2);
    expect(water).toBeGreaterThan(15);
  });

  it('finds a fly three times as good, among all lists, in half of seasons of 120 outings and more', () => {
    const kind = { ...NULL_KINDS.bunched, white: 3, outings: 120 };
    const calls = many(20, 9, kind).map((days) => proofsOf(days).colour.find((g) => g.name === 'white')!);
    expect(calls.filter((g) => g.finding === 'better').length).toBeGreaterThan(11);
    const ratios = calls.flatMap((g) => (g.ratio ? [Math.log(g.ratio.middle)] : []));
    expect(Math.exp(ratios.reduce((a, b) => a + b) / ratios.length)).toBeGreaterThan(2.3);
  });

  it('rates hold what they say where each fly had few outings to itself', () => {
    // Circumstances must not explain away how much outings differ: it is part of what a rate leaves open.
    const kind = { ...NULL_KINDS['one a day'], outings: 30 };
    const held = many(40, 90, kind).flatMap((days) => {
      const luck = luckOf(days, 'colour', 'differences');
      const scores = scoresOf(luck);
      const often = [...new Set(scores.map((x) => x.group))].filter(
        (g) => sumOf(scores, (x) => (x.group === g ? x.casts : 0)) >= 100,
      );
      return often.map((g) => typicalRate(luck, g, scores)).map((r) => r.low <= kind.rate && kind.rate <= r.high);
    });
    expect(held.length).toBeGreaterThan(200);
    expect(held.filter(Boolean).length / held.length).toBeGreaterThan(0.87);
  });

  it('intervals of nine in ten hold what they say, of rates and of ratios, however takes bunch', () => {
    const held = { rate: 0, ratio: 0, of: 0 };
    for (const [i, kind] of [NULL_KINDS.plain, NULL_KINDS.bunched, NULL_KINDS['very bunched']].entries())
      for (const days of many(25, 60 + i, { ...kind, outings: 60 }))
        for (const g of rated(days, 'colour', listOf(days))) {
          if (g.casts < 100) continue;
          held.of++;
          if (g.rate.low <= kind.rate && kind.rate <= g.rate.high) held.rate++;
          if (g.ratio.low <= 1 && 1 <= g.ratio.high) held.ratio++;
        }
    expect(held.of).toBeGreaterThan(600);
    expect(held.rate / held.of).toBeGreaterThan(0.86);
    expect(held.rate / held.of).toBeLessThan(0.95);
    // Ratios are drawn towards one, which is the truth here.
    expect(held.ratio / held.of).toBeGreaterThan(0.87);
    // Where white is three times as good, they must let it be.
    const three = many(25, 70, { ...NULL_KINDS.bunched, white: 3, outings: 120 }).filter((days) => {
      const white = rated(days, 'colour', listOf(days)).find((g) => g.name === 'white')!;
      return white.ratio.low <= 3 && 3 <= white.ratio.high;
    });
    expect(three.length).toBeGreaterThanOrEqual(20);
  });
});
