import { day, some } from '../testing/fixtures';
import { buildChannel, type Reading, type Run } from '../water';
import { across, feature, river } from '../water/runs.testing';
import { bandOf } from './band';
import { findLies } from './find';
import { curvesOf, likestOf, QUARRIES, suitability } from './suitability';
import { holdingWater } from './holding';
import { lieOptionsOf } from './options';
import { dayEffects } from './score';
import type { LieOptions } from './types';
import { type WillingDay, willingOf } from './willing';

const section = (xM: number, depths: number[]) => across(xM, 24, ...depths);
/** A riffle that drops into a trough towards the far bank, shelving to a soft inside. */
const run = river(
  [
    section(0, [0, 0.25, 0.3, 0.35, 0.3, 0]),
    section(12, [0, 0.3, 0.35, 0.4, 0.35, 0]),
    section(15, [0, 0.5, 0.9, 1.4, 1.2, 0]),
    section(40, [0, 0.5, 1.0, 1.5, 1.3, 0]),
    section(60, [0, 0.4, 0.6, 0.7, 0.5, 0]),
  ],
  0.9,
  { features: [feature('drop-off', 13, 13, 2, 14)], speed: { surfaceMps: 0.9, xM: 40, yM: 14 } },
);
const options: LieOptions = { quarry: 'steelhead', school: 'near the bed', most: 6 };
const liesOn = (r: Reading, in_: Run = run, o = options) => findLies(in_, buildChannel(in_, r), r, o);
const meanBank = (lies: ReturnType<typeof liesOn>) =>
  lies.reduce((s, l) => s + Math.min(l.yM, 24 - l.yM), 0) / lies.length;

describe('lies', () => {
  it('puts fish over the drop-off below a riffle and none on the riffle (handbook 3: common practice, no source)', () => {
    const lies = liesOn(day({}));
    expect(lies.length).toBeGreaterThan(1);
    expect(lies.every((l) => l.xM > 12)).toBe(true);
    expect(lies.some((l) => l.reasons.includes('drop-off'))).toBe(true);
    expect(lies.map((l) => l.rank)).toEqual(lies.map((_, i) => i + 1));
    // What stands off to the side is no reason.
    const aside = { ...run, features: [...run.features, feature('plunge', 13, 0.5, 1, 0.5)] };
    const ledge = some(liesOn(day({}), aside).filter((l) => l.reasons.includes('drop-off') && l.yM > 4));
    for (const l of ledge) expect(l.reasons).not.toContain('plunge');
  });

  it('lets a fly cross faster the better fish see, and slowly in cold or dirty water (common practice, no source)', () => {
    const most = (o: Partial<Reading>) => liesOn(day({ waterTempC: 12, ...o }))[0]!.crossSpeedMps;
    const seen = [0.5, 1.2, 1.8, 1.9].map((visibilityM) => most({ visibilityM, colour: 'green' }));
    expect(seen).toEqual([...seen].sort((a, b) => a - b));
    expect(seen[0]!).toBeLessThan(0.8 * seen[1]!);
    expect(seen[3]!).toBeGreaterThan(seen[1]!);
    expect(most({ visibilityM: 1.2, waterTempC: 4 })).toBeLessThan(0.7 * seen[1]!);
  });

  it('holding water is all that scores enough, in patches: the lies and what is about them, not the riffle', () => {
    const reading = day({});
    const channel = buildChannel(run, reading);
    const patches = holdingWater(run, channel, reading, options);
    for (const lie of some(liesOn(reading)))
      expect(Math.min(...patches.map((p) => Math.hypot(p.xM - lie.xM, p.yM - lie.yM)))).toBeLessThan(1);
    expect(patches.length).toBeGreaterThan(10 * liesOn(reading).length);
    expect(patches.filter((p) => p.xM < 11)).toEqual([]);
    for (const p of patches) {
      expect(p.depthM).toBeGreaterThan(0.3);
      expect(p.willing).toEqual(dayEffects(run, channel, reading, options).willing);
    }
    // A patch of three quarters of a metre: no more than its area, no less than what the least lie scores.
    const weights = patches.map((p) => p.weight);
    expect(Math.max(...weights)).toBeLessThan(1);
    expect(Math.min(...weights)).toBeGreaterThan(0.001);
  });

  it('are looked for alike by who wants any size and who wants none', () => {
    const question = {
      water: { quarry: 'sea trout', latDeg: 57, lonDeg: -5 },
      settings: { school: 'near the bed' },
      at: 0,
    } as const;
    const plain = lieOptionsOf(question);
    expect(lieOptionsOf({ ...question, size: 'any' })).toEqual(plain);
    expect(lieOptionsOf({ ...question, size: 'large' })).toEqual({ ...plain, size: 'large' });
  });

  it('are shown the fly lower where one’s own takes say that they come less far up, and told so', () => {
    const settings = { school: 'near the bed', ownFish: { 'sea trout': { up: 0.6 } } } as const;
    const asked = (quarry: 'sea trout' | 'brown trout') =>
      lieOptionsOf({ water: { quarry, latDeg: null, lonDeg: null }, settings });
    expect(asked('brown trout')).not.toHaveProperty('own');
    const [usual, own] = [{ ...asked('sea trout'), own: undefined }, asked('sea trout')].map((o) => {
      const [best] = findLies(run, buildChannel(run, day({})), day({}), o as LieOptions);
      return best!;
    });
    expect(own!.willing.upM).toBeCloseTo(0.6 * usual!.willing.upM, 9);
    expect(own!.band.topM).toBeGreaterThan(usual!.band.topM + 0.1);
    expect(own!.band.by.moved).toContain('own takes lower');
    expect(usual!.band.by.moved).not.toContain('own takes lower');
  });

  it('no steelhead holds in water to the ankle, however much of it there is (common practice, no source)', () => {
    const riffle = river(
      [section(0, [0, 0.16, 0.18, 0.17, 0.16, 0]), section(40, [0, 0.16, 0.18, 0.17, 0.16, 0])],
      0.5,
    );
    const found = (quarry: 'steelhead' | 'brown trout') =>
      findLies(riffle, buildChannel(riffle, null), null, { quarry, school: 'near the bed', most: 8 }).length;
    expect(found('steelhead')).toBe(0);
    expect(found('brown trout')).toBeGreaterThan(0);
  });

  it('moves them towards the edges in dirty high water, and back when it clears', () => {
    const clear = meanBank(liesOn(day({})));
    const dirty = meanBank(liesOn(day({ visibilityM: 0.3, colour: 'brown soup', levelM: 0.3 })));
    expect(dirty).toBeLessThan(clear);
  });

  it('moves them into slower water in the cold', () => {
    const speed = (t: number) => {
      const lies = liesOn(day({ waterTempC: t }));
      return lies.reduce((s, l) => s + l.score * l.speedMps, 0) / lies.reduce((s, l) => s + l.score, 0);
    };
    expect(speed(4)).toBeLessThan(speed(10));
    expect(speed(10)).toBeLessThan(speed(18));
  });

  it('never ranks a redd or the water just below it', () => {
    const top = liesOn(day({}))[0]!;
    const redd = { id: 'q', kind: 'redd' as const, xM: top.xM, yM: top.yM, lengthM: 4, widthM: 4 };
    const lies = liesOn(day({}), { ...run, features: [...run.features, redd] });
    for (const l of some(lies))
      expect(l.xM > top.xM + 6.9 || l.xM < top.xM - 2.9 || Math.abs(l.yM - top.yM) >= 2.9).toBe(true);
  });

  it('keeps lies apart and inside the water', () => {
    const lies = liesOn(day({}), run, { ...options, quarry: 'brown trout' });
    for (const a of some(lies)) {
      expect(a.depthM).toBeGreaterThan(0.15);
      for (const b of lies) if (a !== b) expect(Math.abs(a.xM - b.xM) >= 1.5 || Math.abs(a.yM - b.yM) >= 1).toBe(true);
    }
  });

  describe('the band (common practice, no source)', () => {
    const fair = { quarry: 'steelhead', temp: 10, vis: 1, bright: false, dusk: false, pressed: false } as const;
    type Day = { [K in keyof typeof fair]: WillingDay[K] };
    const band = (o: Partial<Day> = {}, school: 'near the bed' | 'upper to middle' = 'near the bed', depthM = 1.5) => {
      const d = { ...fair, ...o };
      return bandOf(
        willingOf(d, school, { colour: 'green', visibilityM: d.vis, sky: 'overcast', sunDeg: 30 }),
        depthM,
        'sunk',
      );
    };
    const width = (b: ReturnType<typeof band>) => b.bottomM - b.topM;

    it('is the lower half near the bed, and reaches higher for those who fish above it', () => {
      expect(band().topM).toBeGreaterThan(0.3);
      expect(band().topM).toBeLessThan(0.75);
      expect(band().bottomM).toBeCloseTo(1.45, 2);
      const upper = band({}, 'upper to middle');
      expect(upper.topM).toBeLessThan(band().topM);
      expect(upper.bottomM).toBeLessThan(1.4);
      expect(band().by).toEqual({ school: 'near the bed', moved: [] });
    });

    it('is narrower and lower in the cold, in high sun and in murk, and higher in warm clear water and at dusk', () => {
      for (const o of [{ temp: 4 }, { bright: true }, { vis: 0.4 }]) {
        expect(band(o).topM).toBeGreaterThan(band().topM);
        expect(width(band(o))).toBeLessThan(width(band()));
      }
      for (const o of [{ temp: 14, vis: 2 }, { dusk: true }])
        for (const school of ['near the bed', 'upper to middle'] as const)
          expect(band(o, school).topM).toBeLessThan(band({}, school).topM);
      expect(band({ temp: 4, bright: true }).by.moved).toEqual(['cold', 'high sun']);
      expect(band({ dusk: true }).by.moved).toEqual(['low light']);
      // Past what suits them they come less far; nobody calls that cold.
      expect(band({ temp: 21.5 }).topM).toBeGreaterThan(band({ temp: 17 }).topM);
      expect(band({ temp: 21.5 }).by.moved).toEqual(['heat']);
      expect(band({ temp: 14, bright: true }).by.moved).toEqual(['warm water', 'high sun']);
    });

    it('keeps off the bed in thin water, and its ends in order', () => {
      for (const depthM of [0.15, 0.3, 0.6, 3]) {
        const b = band({ temp: 3, bright: true, vis: 0.3 }, 'near the bed', depthM);
        expect(b.topM).toBeLessThan(b.bottomM);
        expect(b.bottomM).toBeLessThan(depthM);
      }
    });
  });

  it('has suitability of 1 at walking pace and waist depth for steelhead (common practice, no source)', () => {
    expect(suitability(curvesOf('steelhead').speed, 0.7)).toBe(1);
    expect(suitability(curvesOf('steelhead').depth, 1)).toBe(1);
    expect(suitability(curvesOf('steelhead').speed, 1.7)).toBe(0);
    // What no table tells of goes by the likest that one does, and no fish is without.
    expect(likestOf('grayling')).toBe('rainbow trout');
    expect(likestOf('sea trout')).toBe('sea trout');
    for (const fish of QUARRIES) expect(suitability(curvesOf(fish).speed, 0.3)).toBeGreaterThan(0.5);
  });
});
