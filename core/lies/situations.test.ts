import { day, some } from '../testing/fixtures';
import { buildChannel, type Feature, type Reading, type Run, type Section } from '../water';
import { across, feature, river } from '../water/runs.testing';
import { findLies, scoreAt } from './find';
import type { Quarry } from './suitability';
import type { FishLie } from './types';

/**
 * Situations of the trade, each constructed so that the answer is known, and each with the change that flips it
 * (common practice, no source, unless one is named).
 */
const WIDTH = 24;
const section = (xM: number, ...depths: number[]): Section => across(xM, WIDTH, ...depths);
const run = (sections: Section[], features: Feature[] = [], surfaceMps = 0.9): Run =>
  river(sections, surfaceMps, { features });
const lies = (r: Run, reading = day(), quarry: Quarry = 'sea trout'): FishLie[] =>
  findLies(r, buildChannel(r, reading), reading, { quarry, school: 'near the bed', most: 6 });
const weighted = (list: FishLie[], of: (l: FishLie) => number) =>
  list.reduce((s, l) => s + l.score * of(l), 0) / list.reduce((s, l) => s + l.score, 0);
const bankOf = (l: FishLie) => Math.min(l.yM, WIDTH - l.yM);

/** Even water, shelving from the near bank to a trough at the far side. */
const shelving = [0, 30, 60].map((x) => section(x, 0, 0.35, 0.7, 1.1, 1.3, 0));
/** Even and middling everywhere. */
const plain = [0, 30, 60].map((x) => section(x, 0, 0.8, 0.9, 0.9, 0.8, 0));

describe('where fish hold', () => {
  it('over the edge of a drop-off below a riffle; without the ledge the place is nothing special', () => {
    const steep = [
      section(0, 0, 0.3, 0.35, 0.35, 0.3, 0),
      section(20, 0, 0.35, 0.4, 0.4, 0.35, 0),
      section(23, 0, 0.8, 1.3, 1.4, 0.9, 0),
      section(60, 0, 0.8, 1.3, 1.4, 0.9, 0),
    ];
    const ledge = feature('drop-off', 21, 12, 2, 16);
    const withLedge = lies(run(steep, [ledge]));
    expect(withLedge[0]!.xM).toBeGreaterThan(20);
    expect(withLedge[0]!.xM).toBeLessThan(30);
    expect(withLedge[0]!.reasons).toContain('drop-off');
    const without = lies(run(steep));
    expect(without.every((l) => !l.reasons.includes('drop-off'))).toBe(true);
    expect(without[0]!.score).toBeLessThan(withLedge[0]!.score);
  });

  it('at dusk in a tailout, where the water shoals: the lower end of a deep slack pool is none', () => {
    const deep = [0, 30].map((x) => section(x, 0, 1.2, 2.4, 2.6, 1.8, 0));
    const dusk = day({ sky: 'dusk' });
    const told = (end: Section, reading = dusk) =>
      lies(run([...deep, end], [], 0.3), reading).some((l) => l.reasons.includes('tailout at dusk'));
    expect(told(section(60, 0, 0.6, 1, 1, 0.7, 0))).toBe(true);
    expect(told(section(60, 0, 1.2, 2.4, 2.6, 1.8, 0))).toBe(false);
    // Where it shoals does not change with the level.
    const shoals = section(60, 0, 0.8, 1.7, 1.8, 1.2, 0);
    expect([told(shoals), told(shoals, { ...dusk, levelM: 0.4 })]).toEqual([true, true]);
  });

  it('is told as it is: deep where it is deep, air where the surface is broken', () => {
    const pool = [0, 30, 60].map((x) => section(x, 0, 0.5, 1, 2, 1, 0));
    for (const l of some(lies(run(pool, [], 0.4), day({ waterTempC: 4 }), 'brown trout')))
      expect(l.reasons.includes('slow and deep in the cold')).toBe(l.depthM > 1.2);
    const warm = (surfaceMps: number) =>
      some(lies(run(plain, [], surfaceMps), day({ waterTempC: 18 }), 'rainbow trout').filter((l) => l.xM < 18));
    expect(warm(0.5).some((l) => l.reasons.includes('air at the head'))).toBe(false);
    expect(warm(0.5)[0]!.reasons).toContain('head in the warm');
    expect(warm(1.3)[0]!.reasons).toContain('air at the head');
  });

  it('in the soft water behind a boulder in fast water; not where the stone is taken out', () => {
    const stone = feature('boulder', 25, 12, 2, 2);
    const fast = run(plain, [stone], 1.6);
    const best = lies(fast)[0]!;
    expect(best.xM).toBeGreaterThan(25);
    expect(best.xM).toBeLessThan(38);
    expect(Math.abs(best.yM - 12)).toBeLessThan(4);
    const without = lies(run(plain, [], 1.6));
    expect(
      without.some((l) => Math.abs(l.xM - best.xM) < 3 && Math.abs(l.yM - best.yM) < 2 && l.score >= best.score),
    ).toBe(false);
  });

  it('under a cut bank though it is only knee deep; brown trout before all', () => {
    const cut = [0, 30, 60].map((x) => section(x, 0, 0.3, 0.35, 0.5, 0.75, 0.5));
    const bank = feature('cut bank', 30, 23, 30, 2);
    const r = run(cut, [bank], 0.5);
    const best = lies(r, day(), 'brown trout')[0]!;
    expect(best.yM).toBeGreaterThan(19);
    expect(best.reasons).toContain('cut bank');
    const without = lies(run(cut, [], 0.5), day(), 'brown trout');
    expect(without[0]!.score).toBeLessThan(best.score);
  });

  it('on a level step in steep water; running fish rest there', () => {
    const rapid = [
      section(0, 0, 0.5, 0.6, 0.6, 0.5, 0),
      section(20, 0, 0.5, 0.6, 0.6, 0.5, 0),
      section(25, 0, 1, 1.4, 1.4, 1, 0),
      section(38, 0, 1, 1.4, 1.4, 1, 0),
      section(43, 0, 0.5, 0.6, 0.6, 0.5, 0),
      section(60, 0, 0.5, 0.6, 0.6, 0.5, 0),
    ];
    const step = feature('level step', 31, 12, 14, 16);
    const best = lies(run(rapid, [step], 0.9), day(), 'steelhead')[0]!;
    expect(best.xM).toBeGreaterThan(21);
    expect(best.xM).toBeLessThan(42);
  });

  it('in an eddy, which is named; without it the place is nothing special', () => {
    const at = (features: Feature[]) =>
      lies(run(plain, features), day(), 'brown trout').find((l) => Math.abs(l.xM - 25) < 5 && l.yM < 7);
    const eddy = at([feature('eddy', 25, 4, 8, 4)])!;
    expect(eddy.reasons).toContain('eddy');
    expect(eddy.score).toBeGreaterThan((at([])?.score ?? 0) + 0.05);
  });

  it('along a seam: slow water beside fast is better than slow water alone', () => {
    const best = lies(run(shelving, [], 1.5))[0]!;
    expect(best.parts.seam).toBeGreaterThan(0.2);
    const slack = lies(run(shelving, [], 0.25))[0]!;
    expect(slack.parts.seam).toBeLessThan(best.parts.seam);
  });

  it('in even walking-pace, waist-ish water for steelhead; not in the shallows, not in the torrent', () => {
    for (const l of some(lies(run(shelving), day(), 'steelhead'))) {
      expect(l.depthM).toBeGreaterThan(0.5);
      expect(l.speedMps).toBeLessThan(1.2);
    }
    expect(lies(run(plain, [], 3.5), day(), 'steelhead')).toEqual([]);
  });

  it('log', () => {
    const log = feature('log', 28, 10, 4, 1);
    const beside = lies(run(plain, [log], 1.1), day(), 'brown trout').filter((l) => l.reasons.includes('log'));
    expect(beside.length).toBeGreaterThan(0);
  });
});

describe('what moves them', () => {
  it('high dirty water: to the soft edges; clear again: back out', () => {
    const dirty = lies(run(shelving), day({ visibilityM: 0.3, colour: 'brown soup', levelM: 0.4 }));
    const clear = lies(run(shelving), day({ visibilityM: 1.2 }));
    expect(weighted(dirty, bankOf)).toBeLessThan(weighted(clear, bankOf));
    expect(dirty.some((l) => l.reasons.includes('edge in dirty water'))).toBe(true);
  });

  it('dirty water lets them lie thin: the shallowest lie is shallower', () => {
    const shallowest = (visibilityM: number) =>
      Math.min(...lies(run(shelving), day({ visibilityM })).map((l) => l.depthM));
    expect(shallowest(0.3)).toBeLessThanOrEqual(shallowest(1.2));
  });

  it('high sun: deeper; overcast: not', () => {
    const depth = (sky: Reading['sky']) => weighted(lies(run(shelving), day({ sky }), 'brown trout'), (l) => l.depthM);
    expect(depth('bright')).toBeGreaterThan(depth('overcast'));
  });

  it('low clear water: depth or broken surface counts for more', () => {
    const clearLow = lies(run(shelving), day({ visibilityM: 3, levelM: -0.1 }), 'rainbow trout');
    const coloured = lies(run(shelving), day({ visibilityM: 1, levelM: -0.1 }), 'rainbow trout');
    expect(weighted(clearLow, (l) => l.depthM)).toBeGreaterThan(weighted(coloured, (l) => l.depthM));
  });

  it('low clear water: under a broken surface they lie nearly as thin as ever, on the flat they do not', () => {
    const riffle = [0, 30, 60].map((x) => section(x, 0, 0.35, 0.5, 0.6, 0.5, 0));
    const comfort = (surfaceMps: number, visibilityM: number) => {
      const r = day({ visibilityM, levelM: 0, sky: 'overcast' });
      const of = run(riffle, [], surfaceMps);
      const o = { quarry: 'brown trout', school: 'near the bed', most: 6 } as const;
      return scoreAt(of, buildChannel(of, r), r, o, 30, 14).parts.depth;
    };
    const keeps = (surfaceMps: number) => comfort(surfaceMps, 3) / comfort(surfaceMps, 1);
    expect(keeps(1)).toBeGreaterThan(keeps(0.3) + 0.1);
  });

  it('poor water: the best of it is a lie, and said to be poor; a film over stones holds nothing', () => {
    const riffle = run(
      [0, 30, 60].map((x) => section(x, 0, 0.35, 0.5, 0.6, 0.5, 0)),
      [],
      0.75,
    );
    const clear = lies(riffle, day({ visibilityM: 2, waterTempC: 13, sky: 'bright' }), 'brown trout');
    expect(clear.length).toBeGreaterThan(0);
    for (const l of clear) expect(l.reasons.join()).toMatch(/^best of poor water$/);
    for (const l of some(lies(run(shelving)))) expect(l.reasons.join()).not.toMatch(/poor/);
    const film = run(
      [0, 30, 60].map((x) => section(x, 0, 0.06, 0.08, 0.08, 0.06, 0)),
      [],
      0.75,
    );
    expect(lies(film, day(), 'brown trout')).toEqual([]);
  });

  it('cold: slower water; warm: faster', () => {
    const speed = (waterTempC: number, surfaceMps: number) =>
      weighted(lies(run(shelving, [], surfaceMps), day({ waterTempC }), 'rainbow trout'), (l) => l.speedMps);
    expect(speed(4, 0.9)).toBeLessThan(speed(11, 0.9));
    expect(speed(18, 1.3)).toBeGreaterThan(speed(11, 1.3));
  });

  it('cold: the fly is wanted deeper in the water; warm and clear: higher', () => {
    const share = (o: Partial<Reading>) => {
      const l = lies(run(shelving), day(o))[0]!;
      return l.band.topM / l.depthM;
    };
    expect(share({ waterTempC: 5, visibilityM: 0.7 })).toBeGreaterThan(share({ waterTempC: 15, visibilityM: 2.4 }));
  });

  it('dirty or cold: slower across is wanted', () => {
    const speed = (o: Partial<Reading>) => lies(run(shelving), day(o))[0]!.crossSpeedMps;
    expect(speed({ visibilityM: 0.4 })).toBeLessThan(speed({ visibilityM: 2.5 }));
    expect(speed({ waterTempC: 4 })).toBeLessThan(speed({ waterTempC: 12 }));
  });

  it('the river rises: the same run has more flow and other lies', () => {
    const low = buildChannel(run(shelving), day());
    const high = buildChannel(run(shelving), day({ levelM: 0.5 }));
    expect(high.flowM3s).toBeGreaterThan(1.5 * low.flowM3s);
    const at = (levelM: number) => weighted(lies(run(shelving), day({ levelM }), 'sea trout'), (l) => l.yM);
    expect(at(0.5)).not.toBeCloseTo(at(0), 1);
  });
});

describe('what is never done', () => {
  it('rank a redd, or the water just below it', () => {
    const before = lies(run(plain))[0]!;
    const redd = feature('redd', before.xM, before.yM, 3, 3);
    for (const l of some(lies(run(plain, [redd])))) {
      const inside = l.xM > redd.xM - 2.5 && l.xM < redd.xM + 6.5 && Math.abs(l.yM - redd.yM) < 2.5;
      expect(inside).toBe(false);
    }
  });

  it('find a lie on dry ground or in a hand of water', () => {
    for (const quarry of ['rainbow trout', 'brown trout', 'steelhead', 'sea trout'] as const)
      for (const l of some(lies(run(shelving), day({ levelM: -0.25 }), quarry))) expect(l.depthM).toBeGreaterThan(0.15);
  });

  it('give a score outside 0 to 1, or parts that do not say why', () => {
    for (const l of some(lies(run(shelving, [feature('boulder', 30, 12, 2, 2)])))) {
      expect(l.score).toBeGreaterThan(0);
      expect(l.score).toBeLessThanOrEqual(1);
      expect(l.reasons.length).toBeGreaterThan(0);
      for (const part of Object.values(l.parts)) {
        expect(part).toBeGreaterThanOrEqual(0);
        expect(part).toBeLessThanOrEqual(1);
      }
    }
  });
});
