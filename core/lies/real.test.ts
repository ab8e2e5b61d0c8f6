import fc from 'fast-check';
import { day, some } from '../testing/fixtures';
import { buildChannel, cellAt, type Feature, type Run, type Section } from '../water';
import { across, feature, river } from '../water/runs.testing';
import { compareDays } from './compare';
import { findLies, scoresOf } from './find';
import { dayEffects } from './score';
import { survey } from './survey';
import type { FishLie, LieOptions } from './types';
import { shiftWords, sureWords } from '@/words/lies';

/** Which lies are real: what was wrong with confidence once (common practice, no source). */
const WIDTH = 24;
const options: LieOptions = { quarry: 'sea trout', school: 'near the bed', most: 20 };
const section = (xM: number, ...depths: number[]): Section => across(xM, WIDTH, ...depths);
const run = (sections: Section[], features: Feature[] = [], surfaceMps = 0.9, o: Partial<Run> = {}): Run =>
  river(sections, surfaceMps, { features, speed: { surfaceMps, xM: 30, yM: 14 }, ...o });
const lies = (r: Run, reading = day(), o: Partial<LieOptions> = {}): FishLie[] =>
  findLies(r, buildChannel(r, reading), reading, { ...options, ...o });
const straight = (...depths: number[]) => [0, 30, 60].map((x) => section(x, ...depths));
const bankOf = (l: FishLie) => Math.min(l.yM, WIDTH - l.yM);
const overlap = (a: FishLie, b: FishLie) => {
  const along =
    Math.min(a.xM + a.lengthM / 2, b.xM + b.lengthM / 2) - Math.max(a.xM - a.lengthM / 2, b.xM - b.lengthM / 2);
  const across =
    Math.min(a.yM + a.widthM / 2, b.yM + b.widthM / 2) - Math.max(a.yM - a.widthM / 2, b.yM - b.widthM / 2);
  return (Math.max(0, along) * Math.max(0, across)) / Math.min(a.lengthM * a.widthM, b.lengthM * b.widthM);
};

describe('one area is one lie', () => {
  it('a ribbon along the whole bank is one lie, its middle in the middle of the run', () => {
    const ribbon = lies(
      run(straight(0, 0.3, 0.35, 0.4, 1.2, 0), [], 0.45, { speed: { surfaceMps: 0.45, xM: 30, yM: 19 } }),
    );
    const along = ribbon.filter((l) => l.yM > 16);
    expect(along).toHaveLength(1);
    expect(along[0]!.xM).toBeGreaterThan(22);
    expect(along[0]!.xM).toBeLessThan(38);
    expect(along[0]!.lengthM).toBeGreaterThan(15);
  });

  it('no two overlap by half, and no extent holds water that would not hold a fish (property)', () => {
    const depth = fc.double({ min: 0.2, max: 2, noNaN: true });
    let seen = 0;
    fc.assert(
      fc.property(
        fc.array(fc.array(depth, { minLength: 4, maxLength: 4 }), { minLength: 3, maxLength: 3 }),
        fc.array(fc.tuple(fc.integer({ min: 5, max: 55 }), fc.integer({ min: 4, max: 20 })), { maxLength: 4 }),
        fc.double({ min: 0.4, max: 1.6, noNaN: true }),
        (depths, stones, surfaceMps) => {
          const r = run(
            depths.map((d, i) => section(30 * i, 0, ...d, 0)),
            stones.map(([x, y]) => feature('boulder', x, y, 1.5, 1.5)),
            surfaceMps,
          );
          const c = buildChannel(r, day());
          const score = scoresOf(r, c, dayEffects(r, c, day(), options));
          const found = findLies(r, c, day(), options);
          for (const a of found) {
            seen++;
            for (const b of found) if (a !== b) expect(overlap(a, b)).toBeLessThan(0.5);
            for (const [x, y] of [
              [-1, -1],
              [-1, 1],
              [1, -1],
              [1, 1],
            ] as const) {
              const k = cellAt(c, a.xM + 0.45 * x * a.lengthM, a.yM + 0.45 * y * a.widthM);
              expect(score[k]).toBeGreaterThan(0.1 * a.score);
            }
          }
        },
      ),
      { numRuns: 30, seed: 4, endOnFailure: true },
    );
    expect(seen).toBeGreaterThan(60);
  });

  it('six stones in a foot of water are six pockets: depth is relative', () => {
    const stones = [8, 16, 24, 34, 44, 54].map((x, i) => feature('boulder', x, i % 2 ? 8 : 15, 1.2, 1.2));
    const thin = run(straight(0, 0.28, 0.3, 0.3, 0.28, 0), stones, 0.8);
    const pockets = lies(thin, day(), { quarry: 'brown trout' });
    for (const s of stones)
      expect(pockets.some((l) => l.xM > s.xM && l.xM < s.xM + 7 && Math.abs(l.yM - s.yM) < 2)).toBe(true);
  });
});

describe('what is a seam', () => {
  it('a bank’s own slow film is none; the soft side of a boulder’s wake is', () => {
    const even = run(straight(0, 0.9, 0.9, 0.9, 0.9, 0));
    const s = dayEffects(even, buildChannel(even, day()), day(), options);
    expect(s.migrant).toBe(true);
    const film = lies(run(straight(0, 0.9, 0.9, 0.9, 0.9, 0), [], 1));
    for (const l of film) if (bankOf(l) < 1.5) expect(l.reasons).not.toContain('seam');
    const stone = lies(run(straight(0, 0.9, 0.9, 0.9, 0.9, 0), [feature('boulder', 25, 12, 2, 2)], 1))[0]!;
    expect(stone.reasons).toContain('seam');
  });
});

describe('high and dirty water (school: to the margins)', () => {
  const shelf = run(straight(0, 0.35, 0.7, 1.2, 0.9, 0));
  it.each([
    ['at a foot of sight', day({ visibilityM: 0.3, colour: 'grey-brown' })],
    ['at 80 cm over normal', day({ levelM: 0.8 })],
    ['both', day({ levelM: 0.8, visibilityM: 0.3, colour: 'brown soup' })],
  ])('%s the soft edge at wading depth ranks first, and says why', (_name, reading) => {
    const [best] = lies(shelf, reading);
    const c = buildChannel(shelf, reading);
    expect(best!.yM - c.edgeNear[0]!).toBeLessThan(9);
    expect(best!.depthM).toBeLessThan(1.2);
    expect(best!.reasons.join()).toMatch(/^edge in (dirty|high) water$/);
    expect(lies(shelf, reading, { flood: 'out and feeding' })[0]!.yM).toBeGreaterThan(best!.yM);
  });

  it('tea is not silt: with the same sight peat keeps them where they were', () => {
    const at = (colour: 'tea' | 'grey-brown') => lies(shelf, day({ visibilityM: 0.5, colour }))[0]!;
    expect(at('tea').yM).toBeGreaterThan(at('grey-brown').yM);
  });

  it('toes that are still seen are not dirty water', () => {
    const at = (atLeast: boolean) => lies(shelf, day({ visibilityM: 0.6, atLeast }))[0]!;
    expect(at(true).yM).toBeGreaterThan(at(false).yM);
  });
});

describe('where in the run', () => {
  it('the middle of a drop-off outranks its ends', () => {
    const steps = [
      section(0, 0, 0.35, 0.4, 0.4, 0.35, 0),
      section(20, 0, 0.35, 0.4, 0.4, 0.35, 0),
      section(23, 0, 1, 1, 1, 1, 0),
      section(60, 0, 1, 1, 1, 1, 0),
    ];
    const best = lies(run(steps, [feature('drop-off', 21, 12, 2, 16)]))[0]!;
    expect(Math.abs(best.yM - 12)).toBeLessThan(4);
    expect(best.reasons).toContain('drop-off');
  });

  it('at dusk the tailout of even water holds a lie of its own, by day it does not', () => {
    const even = run(straight(0, 0.8, 0.9, 0.9, 0.8, 0));
    expect(lies(even, day({ sky: 'dusk' })).some((l) => l.xM > 45)).toBe(true);
    expect(lies(even).some((l) => l.xM > 45)).toBe(false);
  });

  it('a spring in warm water is a refuge', () => {
    const even = straight(0, 0.7, 0.8, 0.8, 0.7, 0);
    const spring = feature('spring', 40, 12, 2, 2);
    const near = (waterTempC: number) =>
      lies(run(even, [spring]), day({ waterTempC }), { quarry: 'brown trout' }).some((l) =>
        l.reasons.some((x) => x.includes('spring')),
      );
    expect(near(19)).toBe(true);
    expect(near(11)).toBe(false);
  });
});

describe('two days', () => {
  const shelf = run(straight(0, 0.35, 0.7, 1.2, 1.1, 0), [feature('boulder', 30, 14, 2, 2)]);
  const at = (reading: ReturnType<typeof day>) => {
    const channel = buildChannel(shelf, reading);
    return { reading, channel, lies: findLies(shelf, channel, reading, { ...options, most: 4 }) };
  };
  it('what is gone got worse, what is new got better, and what only moved in the list is not gone', () => {
    const shifts = compareDays(
      shelf,
      at(day()),
      at(day({ levelM: 0.6, visibilityM: 0.3, colour: 'brown soup' })),
      options,
    );
    for (const s of some(shifts)) {
      expect(s.depthM[1] - s.depthM[0]).toBeGreaterThan(0.3); // the river rose everywhere
      const words = shiftWords(s, String(s.before?.rank ?? 'A'), 'metric');
      if (words.includes('is gone'))
        expect(words).not.toMatch(/gone: (there is more|it is darker|.* better \(|.* draws them more)/);
      if (!s.before) expect(s.byPart).toBeGreaterThanOrEqual(0);
      if (s.held) expect(words).toContain('as good as it was');
    }
    // The cold is everywhere: what it changes from place to place is which current suits.
    const cold = some(compareDays(shelf, at(day({ waterTempC: 11 })), at(day({ waterTempC: 4 })), options));
    for (const s of cold)
      expect(shiftWords(s, String(s.before?.rank ?? 'A'), 'metric')).toMatch(
        /current|hardly|as good|elsewhere|no better/,
      );
    for (const s of some(compareDays(shelf, at(day()), at(day()), options)))
      expect(shiftWords(s, String(s.before?.rank ?? 'A'), 'metric')).toMatch(/^\d+ stays: it hardly changes/);
  });
});

describe('the survey', () => {
  it('leaves out what only one drawing in eight finds, and ranks the rest without gaps', () => {
    const r = run(straight(0, 0.35, 0.7, 1.2, 1.1, 0), [feature('boulder', 30, 14, 2, 2)]);
    const found = survey(r, day(), options).lies;
    expect(some(found).map((l) => l.rank)).toEqual(found.map((_, i) => i + 1));
    for (const l of found) expect(l.guess || l.foundAgain!.times >= 2).toBe(true);
    expect(sureWords(found[0]!)).toMatch(/^(sure|likely)$/);
  });
});
